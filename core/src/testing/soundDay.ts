import { toEnd } from '../base/inSteps';
import { type Solved, solveDay } from '../business/day/solve';
import type { Tapes } from '../business/day/stretches';
import type { Day } from '../business/day/work';

/** A day planned to the end, without a rest. */
export const solved = (day: Day): Solved => toEnd(solveDay(day));

/** Whether any two of some stretches are at one time. */
export const overlaps = (stretches: readonly { fromS: number; toS: number }[]): boolean =>
  [...stretches]
    .sort((a, b) => a.fromS - b.fromS)
    .some(({ fromS }, i, all) => i > 0 && fromS < (all[i - 1]?.toS ?? 0) - 1e-6);

/** Never two things in one pair of hands, on one machine, or in one hoop; all of every piece done, in its order. */
export function expectSound(day: Day, tapes: Tapes, { worth }: Pick<Solved, 'worth'>) {
  expect(overlaps(tapes.hands)).toBe(false);
  for (const machine of tapes.machines) expect(overlaps(machine)).toBe(false);
  for (const [hoop, count] of Object.entries(day.hoops))
    for (const { fromS } of tapes.hoops.filter((one) => one.hoop === hoop)) {
      const atOnce = tapes.hoops.filter(
        (one) => one.hoop === hoop && one.fromS <= fromS + 1e-6 && one.toS > fromS + 1e-6,
      );
      expect(atOnce.length).toBeLessThanOrEqual(count);
    }
  expect(tapes.endS).toBeCloseTo(worth.endS, 6);
  day.works.forEach((work, piece) => {
    const of = (what: string) => tapes.hands.filter((one) => one.piece === piece && one.what === what);
    const sum = (what: string) => of(what).reduce((total, { fromS, toS }) => total + toS - fromS, 0);
    const [first, last] = [
      (what: string) => Math.min(...of(what).map(({ fromS }) => fromS)),
      (what: string) => Math.max(...of(what).map(({ toS }) => toS)),
    ];
    expect(sum('prepare')).toBeCloseTo(work.prepareS, 6);
    expect(sum('hoop')).toBeCloseTo(work.hoopS, 6);
    expect(sum('take off')).toBeCloseTo(work.takeOffS, 6);
    expect(sum('finish')).toBeCloseTo(work.finishS, 6);
    expect(last('prepare')).toBeLessThanOrEqual(first('hoop') + 1e-6);
    expect(last('hoop')).toBeLessThanOrEqual(first('mount') + 1e-6);
    expect(last('take off')).toBeLessThanOrEqual(first('finish') + 1e-6);
    const alone =
      tapes.machines[work.machine]?.filter((one) => one.piece === piece && one.by === 'machine') ?? [];
    const stitched = alone.reduce((total, { fromS, toS }) => total + toS - fromS, 0);
    expect(stitched).toBeCloseTo(
      work.runs.reduce((total, { aloneS }) => total + aloneS, 0),
      6,
    );
    expect(Math.max(...alone.map(({ toS }) => toS))).toBeLessThanOrEqual(first('take off') + 1e-6);
  });
}
