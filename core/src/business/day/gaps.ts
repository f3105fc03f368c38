import type { HandsStretch } from './stretches';
import { EPSILON } from './work';

/** A stretch in which hands have nothing to do that cannot be put down. */
interface Gap {
  fromS: number;
  toS: number;
}

/** What can be put down, so much of it: from a time on, and by when it is wanted. */
export interface Filler {
  what: 'prepare' | 'finish';
  piece: number;
  leftS: number;
  fromS: number;
  byS: number;
}

const gapsOf = (main: readonly HandsStretch[]): Gap[] => {
  let at = 0;
  return main.flatMap(({ fromS, toS }) => {
    const gap = { fromS: at, toS: fromS };
    at = Math.max(at, toS);
    return gap.toS - gap.fromS > EPSILON ? [gap] : [];
  });
};

const lengthS = ({ fromS, toS }: Gap): number => toS - fromS;

/**
 * How much must be prepared in each gap, so that what the gaps after it hold is enough for the rest: asked gap by gap, of
 * what is left then. Pieces stand in the order in which they are wanted.
 */
function preparingOf(prepare: readonly Filler[], gaps: readonly Gap[]): (gap: number) => number {
  let sum = 0;
  const through = gaps.map((gap) => {
    sum += lengthS(gap);
    return sum;
  });
  const before = prepare.map(
    ({ byS }) => through[gaps.findLastIndex(({ toS }) => toS <= byS + EPSILON)] ?? 0,
  );
  return (gap) => {
    let [must, wanted] = [0, 0];
    prepare.forEach(({ leftS }, k) => {
      wanted += leftS;
      must = Math.max(must, wanted - Math.max(0, (before[k] ?? 0) - (through[gap] ?? 0)));
    });
    return must;
  };
}

/**
 * Fills what hands have free between the stretches that cannot be put down: what is off its machine is finished at once,
 * what is promised first before the rest, and pieces are prepared ahead, never so late that their hooping waits. Hands
 * rest only where neither is left to do, so no other way is through sooner. What found no room comes at the end.
 */
export function filled(main: readonly HandsStretch[], fillers: readonly Filler[]): HandsStretch[] {
  const gaps = gapsOf(main);
  const of = (what: Filler['what']) =>
    fillers
      .filter((one) => one.what === what)
      .map((one) => ({ ...one }))
      .sort((a, b) => a.byS - b.byS || a.fromS - b.fromS);
  const [prepare, finish] = [of('prepare'), of('finish')];
  const mustPrepare = preparingOf(prepare, gaps);
  const done: HandsStretch[] = [];
  let at = 0;
  const take = (from: Filler[], mostS: number) => {
    let left = mostS;
    for (const filler of from) {
      const takes = Math.min(left, filler.leftS);
      if (takes <= EPSILON || filler.fromS > at + EPSILON) continue;
      filler.leftS -= takes;
      left -= takes;
      done.push({ fromS: at, toS: at + takes, what: filler.what, piece: filler.piece, threads: [] });
      at += takes;
    }
  };
  gaps.forEach((gap, i) => {
    at = gap.fromS;
    take(finish, lengthS(gap) - mustPrepare(i));
    take(prepare, gap.toS - at);
  });
  at = main.reduce((end, { toS }) => Math.max(end, toS), 0);
  take(finish, Number.POSITIVE_INFINITY);
  return done;
}
