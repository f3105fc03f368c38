import { randomLcg } from 'd3-random';
import type { Day, Work } from '../business/day/work';

const THREADS = ['navy', 'white', 'gold', 'moss', 'rose', 'slate'] as const;

/** A random day of so many pieces: one or two machines, hoops of one to three kinds, promised times in between. */
export function variedDay(seed: number, pieces: number): Day {
  const random = randomLcg(seed / 2 ** 20);
  const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const oneOf = <T>(list: readonly T[]): T => list[whole(0, list.length - 1)] as T;
  const machines = Array.from({ length: random() < 0.25 ? 2 : 1 }, () => ({
    needles: oneOf([1, 1, 4, 6]),
    threaded: random() < 0.5 ? [oneOf(THREADS)] : [],
    threadS: 75,
  }));
  const kinds = ['a', 'b', 'c'].slice(0, whole(1, 3));
  const hoops = Object.fromEntries(kinds.map((kind) => [kind, whole(1, 2)]));
  const total = pieces * 1200;
  const works = Array.from({ length: pieces }, (_, i): Work => {
    const machine = whole(0, machines.length - 1);
    const stops = whole(1, 3);
    const isOne = (machines[machine]?.needles ?? 1) === 1;
    const trims = random() < 0.4 ? 60 : 0;
    const runs = isOne
      ? Array.from({ length: stops }, (_unused, k) => ({
          aloneS: whole(2, 12) * 60,
          handsS: k < stops - 1 ? 75 + trims : trims,
        }))
      : [{ aloneS: whole(3, 30) * 60, handsS: trims }];
    return {
      id: `piece-${i + 1}`,
      name: `Piece ${i + 1}`,
      prepareS: whole(1, 4) * 60,
      hoopS: whole(2, 5) * 60,
      hoops: random() < 0.3 ? kinds : [oneOf(kinds)],
      machine,
      mountS: 90,
      runs,
      threads: Array.from({ length: stops }, () => oneOf(THREADS)),
      takeOffS: whole(1, 3) * 60,
      finishS: whole(1, 4) * 60,
      dueS: random() < 0.4 ? whole(Math.round(total / 4), total) : null,
    };
  });
  return { works, machines, hoops };
}
