import type { Highs } from 'highs';
import type { Threads } from '../stages/stitch/needles';
import { leastByProgram } from './exactOrder';

/**
 * The fewest threads put on as an integer program: z(h,t) thread h is on at job t, w(h,t) it is put on for it. No more are
 * on than there are needles; those of the job are.
 */
export function fewestThreadingsByProgram(highs: Highs, jobs: readonly Threads[], needles: number): number {
  const threads = [...new Set(jobs.flat())];
  const z = (h: number, t: number) => `z${h}_${t}`;
  const w = (h: number, t: number) => `w${h}_${t}`;
  const rows = jobs.flatMap((now, t) => [
    `${threads.map((_, h) => z(h, t)).join(' + ')} <= ${needles}`,
    ...threads.flatMap((thread, h) => [
      ...(now.includes(thread) ? [`${z(h, t)} = 1`] : []),
      t === 0 ? `${w(h, t)} - ${z(h, t)} >= 0` : `${w(h, t)} - ${z(h, t)} + ${z(h, t - 1)} >= 0`,
    ]),
  ]);
  const names = jobs.flatMap((_, t) => threads.flatMap((__, h) => [z(h, t), w(h, t)]));
  const objective = jobs.flatMap((_, t) => threads.map((__, h) => w(h, t)));
  return leastByProgram(highs, { objective, rows, names });
}
