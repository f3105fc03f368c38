/** What is stitched in one go: the threads that must all be on needles meanwhile. */
export type Threads = readonly string[];

/** How one of them is served. */
export interface Threaded {
  /** The needle of each of its threads, from 0. */
  needles: number[];
  /** Those of its threads that had to be put on for it. */
  putOn: string[];
}

/** When a thread is needed again after a place in the list; never is endless. */
const nextUse = (jobs: readonly Threads[], thread: string, after: number): number => {
  const at = jobs.findIndex((threads, i) => i > after && threads.includes(thread));
  return at < 0 ? Infinity : at;
};

/** The needle to put a thread on: a free one, else the one whose thread is needed again last, and not now. */
function needleFor(
  on: readonly (string | undefined)[],
  now: Threads,
  next: (thread: string) => number,
): number {
  const free = on.indexOf(undefined);
  if (free >= 0) return free;
  let best = 0;
  let latest = -1;
  on.forEach((thread, needle) => {
    if (thread === undefined || now.includes(thread)) return;
    const use = next(thread);
    if (use > latest) [best, latest] = [needle, use];
  });
  return best;
}

/**
 * Threads on needles so that, over all jobs in their order, as few are put on as can be: what is needed soonest is kept
 * (Belady 1966; Tang and Denardo 1988, who prove it for jobs that need several at once). A job of more threads than there
 * are needles must be given stop by stop. The first threads go onto the needles from the first.
 */
export function fewestThreadings(jobs: readonly Threads[], needles: number): Threaded[] {
  const on: (string | undefined)[] = Array.from({ length: needles }, () => undefined);
  return jobs.map((threads, i) => {
    const putOn: string[] = [];
    for (const thread of new Set(threads)) {
      if (on.includes(thread)) continue;
      on[needleFor(on, threads, (other) => nextUse(jobs, other, i))] = thread;
      putOn.push(thread);
    }
    return { needles: threads.map((thread) => on.indexOf(thread)), putOn };
  });
}

/** How many threads are put on in all. */
export const threadingsOf = (served: readonly Threaded[]): number =>
  served.reduce((sum, { putOn }) => sum + putOn.length, 0);
