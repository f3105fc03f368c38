/** How many of some things long work has gone through, and of how many. */
export interface HowFar {
  read: number;
  of: number;
}

/** What work that is done in steps comes to, gone through to its end without a rest. */
export function toEnd<T>(work: Iterator<unknown, T, undefined>): T {
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}
