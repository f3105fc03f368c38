/** So long the computer is at long work before it looks after others, ms. */
const TURN_MS = 25;

const turnOfOthers = (): Promise<void> => new Promise((next) => setImmediate(next));

/** What long work comes to, others being answered in between; null where it takes longer than a limit, ms. */
export async function inTurns<T>(work: Iterator<unknown, T, undefined>, limitMs: number): Promise<T | null> {
  const begun = performance.now();
  let turn = begun;
  for (;;) {
    const { value, done } = work.next();
    if (done) return value;
    const now = performance.now();
    if (now - begun > limitMs) return null;
    if (now - turn < TURN_MS) continue;
    await turnOfOthers();
    turn = performance.now();
  }
}
