/** So long the computer is at long work before it looks after others, ms. */
const TURN_MS = 25;

const turnOfOthers = (): Promise<void> => new Promise((next) => setImmediate(next));

/** Processor time of this program, ms: what else the computer has to do does not count. */
const workedMs = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
};

/** What long work comes to, others being answered in between; null where it takes more than a limit of processor time, ms. */
export async function inTurns<T>(work: Iterator<unknown, T, undefined>, limitMs: number): Promise<T | null> {
  const begun = workedMs();
  let turn = performance.now();
  for (;;) {
    const { value, done } = work.next();
    if (done) return value;
    if (performance.now() - turn < TURN_MS) continue;
    if (workedMs() - begun > limitMs) return null;
    await turnOfOthers();
    turn = performance.now();
  }
}
