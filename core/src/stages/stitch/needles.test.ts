import { randomLcg } from 'd3-random';
import fc from 'fast-check';
import { fewestThreadingsByProgram } from '../../testing/exactNeedles';
import { exactSolver } from '../../testing/exactOrder';
import { fewestThreadings, type Threads, threadingsOf } from './needles';

const jobsOf = (most: number) =>
  fc.array(fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'), { minLength: 1, maxLength: most }), {
    minLength: 1,
    maxLength: 7,
  });

/** The fewest threads put on, by trying every way to make room. */
function fewest(jobs: readonly Threads[], needles: number): number {
  const from = (i: number, on: readonly string[]): number => {
    const now = jobs[i];
    if (!now) return 0;
    const missing = now.filter((thread) => !on.includes(thread));
    const others = on.filter((thread) => !now.includes(thread));
    const room = needles - now.length;
    const keeping = subsets(others).filter((kept) => kept.length === Math.min(room, others.length));
    return missing.length + Math.min(...keeping.map((kept) => from(i + 1, [...now, ...kept])));
  };
  return from(0, []);
}
const subsets = (all: readonly string[]): string[][] =>
  all.reduce<string[][]>((sets, one) => sets.concat(sets.map((set) => set.concat(one))), [[]]);

it('puts on as few threads as any way does: against every way', () => {
  fc.assert(
    fc.property(fc.integer({ min: 3, max: 4 }), jobsOf(3), (needles, jobs) => {
      expect(threadingsOf(fewestThreadings(jobs, needles))).toBe(fewest(jobs, needles));
    }),
    { numRuns: 300 },
  );
});

it('equals an exact solver on 30 benches of up to 14 tickets', async () => {
  const highs = await exactSolver();
  const random = randomLcg(0.42);
  for (let n = 0; n < 30; n++) {
    const needles = 4 + (n % 3);
    const jobs = Array.from({ length: 6 + (n % 9) }, () => {
      const threads = Array.from(
        { length: 1 + Math.floor(random() * needles) },
        () => `t${Math.floor(random() * 11)}`,
      );
      return [...new Set(threads)];
    });
    const served = fewestThreadings(jobs, needles);
    expect([n, threadingsOf(served)]).toEqual([n, fewestThreadingsByProgram(highs, jobs, needles)]);
  }
});

it('has every thread of a job on a needle of its own while it is stitched', () => {
  fc.assert(
    fc.property(jobsOf(4), (jobs) => {
      const on = new Map<number, string>();
      return fewestThreadings(jobs, 4).every(({ needles, putOn }, i) => {
        const threads = jobs[i] ?? [];
        threads.forEach((thread, k) => {
          if (putOn.includes(thread)) on.set(needles[k] ?? -1, thread);
        });
        return (
          threads.every((thread, k) => on.get(needles[k] ?? -1) === thread) &&
          new Set(needles).size === threads.length
        );
      });
    }),
  );
});

it('has nothing to do for nothing, and goes stop by stop on one needle', () => {
  expect(fewestThreadings([], 6)).toEqual([]);
  expect(fewestThreadings([['a'], ['b'], ['a']], 1).map(({ putOn }) => putOn)).toEqual([['a'], ['b'], ['a']]);
});
