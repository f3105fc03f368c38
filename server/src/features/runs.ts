/** So many runs of a stand-in are kept; of more, the one that was touched longest ago is cleared. */
const MOST_RUNS = 40;

/** What lies on a stand-in machine, by run: held in memory, since nothing of it is kept past a restart. */
export interface Runs<T extends { run: string }> {
  put: (laid: T) => T;
  get: (run: string) => T | null;
}

export function createRuns<T extends { run: string }>(): Runs<T> {
  const runs = new Map<string, T>();
  return {
    put: (laid) => {
      runs.delete(laid.run);
      runs.set(laid.run, laid);
      const [oldest] = runs.keys();
      if (runs.size > MOST_RUNS && oldest !== undefined) runs.delete(oldest);
      return laid;
    },
    get: (run) => runs.get(run) ?? null,
  };
}
