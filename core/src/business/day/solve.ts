import { boundOf } from './bound';
import { dominates, keyOf } from './likeness';
import { afterMove, type Move, movesFrom } from './moves';
import { isPieceDone, type State, startOf, workAt, worthOf } from './state';
import { type Day, EPSILON, isBetter, type Worth } from './work';

/** A planned day: the moves in their order, what it is worth, and what no other plan can be better than. */
export interface Solved {
  moves: Move[];
  worth: Worth;
  /** When all is done at the earliest, and how late pieces are at least, whatever the plan, seconds. */
  boundS: number;
  boundLateS: number;
  /** Whether no plan is better: every other was ruled out. */
  isExact: boolean;
  rethreads: number;
}

/** How far the search is: states looked at. */
export interface SolveProgress {
  looked: number;
  best: Worth | null;
}

/** The search: it is answered whether it took long enough. */
export type Solving = Generator<SolveProgress, Solved, boolean | undefined>;

interface Step {
  move: Move;
  before: Step | null;
}
const movesOf = (last: Step | null): Move[] => {
  const moves: Move[] = [];
  for (let step = last; step; step = step.before) moves.push(step.move);
  return moves.reverse();
};

interface Node {
  state: State;
  step: Step | null;
  bound: Worth;
}

const REPORT_EVERY = 2000;
/** Pieces up to which every plan is ruled out or found. */
export const EXACT_UP_TO = 8;
/** So many states are looked at before an exact search gives up being sure. */
const MOST_LOOKED = 3_000_000;

const byBound = (a: Node, b: Node): number =>
  isBetter(a.bound, b.bound) ? -1 : isBetter(b.bound, a.bound) ? 1 : 0;

function childrenOf(day: Day, { state, step }: Node): Node[] {
  return movesFrom(day, state).map((move) => {
    const [next] = afterMove(day, state, move);
    return { state: next, step: { move, before: step }, bound: boundOf(day, next) };
  });
}

/** States that were seen, by what decides how they go on: one that is no better than another is not gone on from. */
class Seen {
  private readonly byKey = new Map<string, State[]>();

  constructor(private readonly day: Day) {}

  /** Whether a state is worth going on from; then it is remembered. */
  admits(state: State): boolean {
    const key = keyOf(this.day, state);
    const seen = this.byKey.get(key) ?? [];
    if (seen.some((one) => dominates(one, state))) return false;
    this.byKey.set(key, [...seen.filter((one) => !dominates(state, one)), state]);
    return true;
  }
}

const rootOf = (day: Day): Node => {
  const state = startOf(day);
  return { state, step: null, bound: boundOf(day, state) };
};

/**
 * The best plan of a day by branch and bound over the order of what hands do: deepest first, the best bound first, what
 * is dominated left out (label setting, as for shortest ways with resources). `start` is a plan that is known already.
 */
function* exactly(day: Day, start: Solved): Solving {
  const root = rootOf(day);
  const seen = new Seen(day);
  let best = start;
  let looked = 0;
  const open: Node[] = [root];
  for (let node = open.pop(); node; node = open.pop()) {
    looked += 1;
    const isEnough = looked % REPORT_EVERY === 0 && (yield { looked, best: best.worth });
    if (isEnough || looked > MOST_LOOKED) return best;
    if (!isBetter(node.bound, best.worth)) continue;
    if (isPieceDone(node.state)) {
      const worth = worthOf(node.state);
      if (isBetter(worth, best.worth))
        best = { ...best, worth, moves: movesOf(node.step), rethreads: node.state.rethreads };
      continue;
    }
    const children = childrenOf(day, node).filter(
      ({ state, bound }) => isBetter(bound, best.worth) && seen.admits(state),
    );
    // The last is taken first.
    open.push(...children.sort(byBound).reverse());
  }
  const { lateS, endS } = best.worth;
  // Where something is late, a plan that ends sooner may be later still.
  return { ...best, isExact: true, boundLateS: lateS, boundS: lateS > EPSILON ? best.boundS : endS };
}

/** So many ways on are kept beside one another: more on a short day, so that every day takes about as long. */
const BEAM = { least: 64, most: 400, steps: 20_000 } as const;
const beamFor = ({ works }: Day): number => {
  const steps = works.reduce((sum, { runs }) => sum + 2 + runs.length, 1);
  return Math.min(BEAM.most, Math.max(BEAM.least, Math.round(BEAM.steps / steps)));
};

/** How many of a piece’s threads are not on its machine: all that it needs at once, or only the one it begins with. */
type Lacking = (day: Day, state: State, piece: number) => number;

const lackingOf =
  (howMany: (needles: number) => number): Lacking =>
  (day, state, piece) => {
    const { machine, threads } = workAt(day, piece);
    const on = state.threaded[machine] ?? [];
    const needed = threads.slice(0, howMany(day.machines[machine]?.needles ?? 1));
    return needed.filter((thread) => !on.includes(thread)).length;
  };
/** Of the pieces that are still to be hooped those that are tried next: so many that are due first, and that want the fewest threads. */
interface Way {
  byDue: number;
  byThread: number;
  lacking: Lacking;
}
/** A day is gone through once in each of these ways: which is best depends on the day. */
const WAYS: readonly Way[] = [
  { byDue: 3, byThread: 2, lacking: lackingOf((needles) => needles) },
  { byDue: 2, byThread: 2, lacking: lackingOf(() => 1) },
  { byDue: 2, byThread: 5, lacking: lackingOf((needles) => needles) },
];

/** The moves worth trying on a long day, in one way. */
function likelyMoves(day: Day, state: State, way: Way): Move[] {
  const moves = movesFrom(day, state);
  const hoopings = moves.filter((move) => move.kind === 'hoop');
  if (hoopings.length <= way.byDue + way.byThread) return moves;
  const dueOf = ({ piece }: { piece: number }) => day.works[piece]?.dueS ?? Number.POSITIVE_INFINITY;
  const byDue = [...hoopings].sort((a, b) => dueOf(a) - dueOf(b));
  const lacks = new Map(byDue.map((move) => [move, way.lacking(day, state, move.piece)]));
  const byThread = [...byDue].sort((a, b) => (lacks.get(a) ?? 0) - (lacks.get(b) ?? 0));
  const picked = new Set<Move>([...byDue.slice(0, way.byDue), ...byThread.slice(0, way.byThread)]);
  return [...moves.filter((move) => move.kind !== 'hoop'), ...picked];
}

/** A plan of any day: the best few ways so far are gone on from, move by move (beam search). */
function* beamPlan(day: Day, width: number, way: Way): Solving {
  const root = rootOf(day);
  let beam: Node[] = [root];
  let looked = 0;
  let isEnough = false;
  for (;;) {
    const next: Node[] = [];
    const seen = new Seen(day);
    for (const node of beam)
      for (const move of likelyMoves(day, node.state, way)) {
        const [state] = afterMove(day, node.state, move);
        next.push({ state, step: { move, before: node.step }, bound: boundOf(day, state) });
        looked += 1;
      }
    if (next.length === 0) break;
    next.sort(
      (a, b) => byBound(a, b) || a.state.rethreads - b.state.rethreads || a.state.handsS - b.state.handsS,
    );
    beam = next.filter(({ state }) => seen.admits(state)).slice(0, isEnough ? 1 : width);
    isEnough = (yield { looked, best: null }) ?? isEnough;
  }
  const [first] = beam.sort((a, b) => (isBetter(worthOf(a.state), worthOf(b.state)) ? -1 : 1));
  if (!first || !isPieceDone(first.state)) throw new Error('assertion failed: every day comes to its end');
  return {
    moves: movesOf(first.step),
    worth: worthOf(first.state),
    boundS: root.bound.endS,
    boundLateS: root.bound.lateS,
    isExact: false,
    rethreads: first.state.rethreads,
  };
}

/** Farther than this from its bound, a plan is looked for once more with twice as many ways beside one another. */
const NEAR = 0.04;

/** The best of the plans that are found by going through a day in each way. */
function* goodPlan(day: Day): Solving {
  const width = beamFor(day);
  let best: { found: Solved; way: Way } | null = null;
  for (const way of WAYS) {
    const found = yield* beamPlan(day, width, way);
    if (!best || isBetter(found.worth, best.found.worth)) best = { found, way };
  }
  if (!best) throw new Error('assertion failed: there is a way to go through a day');
  if (gapOf(best.found) <= NEAR || day.works.length <= EXACT_UP_TO) return best.found;
  const wider = yield* beamPlan(day, 2 * width, best.way);
  return isBetter(wider.worth, best.found.worth) ? wider : best.found;
}

/**
 * Plans a day for one pair of hands: exactly for a few pieces, else well, with how far it is at most from the best. The
 * day must be one that can be planned (`whyNotPlanned`). Yields progress; told that it took long enough, it ends with the
 * best it has.
 */
export function* solveDay(day: Day): Solving {
  const good = yield* goodPlan(day);
  return day.works.length <= EXACT_UP_TO ? yield* exactly(day, good) : good;
}

/** How much longer a plan takes than the bound says any must, in parts of it. */
export const gapOf = ({ worth, boundS }: Pick<Solved, 'worth' | 'boundS'>): number =>
  boundS <= 0 ? 0 : Math.max(0, worth.endS / boundS - 1);
