/** A running transaction, within which another can be undone alone. */
interface Nesting<Tx> {
  transaction: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;
}
type Work<Tx, T> = (tx: Tx) => Promise<T>;
type Run<Tx> = <T>(work: Work<Tx, T>) => Promise<T>;

interface Waiting<Tx> {
  work: Work<Tx, unknown>;
  done: (value: unknown) => void;
  failed: (error: unknown) => void;
}

/** So many writes share a transaction: the first of them waits no longer than that takes. */
const MOST_TOGETHER = 64;

type Outcome = { ok: true; value: unknown } | { ok: false; error: unknown };

/** Does a work within a transaction of others: where it fails, it alone is undone. */
async function alone<Tx extends Nesting<Tx>>(tx: Tx, { work }: Waiting<Tx>): Promise<Outcome> {
  try {
    return { ok: true, value: await tx.transaction(work) };
  } catch (error) {
    return { ok: false, error };
  }
}

/**
 * Writes that come while one is under way are done together in the next transaction, in their order: they wait for one
 * commit to the disk instead of one each. Nobody is told that a write is done before it is committed.
 */
export function writesTogether<Tx extends Nesting<Tx>>(run: Run<Tx>): Run<Tx> {
  let waiting: Waiting<Tx>[] = [];
  let running = false;

  async function doThese(these: Waiting<Tx>[]) {
    try {
      const [only] = these;
      const outcomes: Outcome[] =
        these.length === 1 && only
          ? [{ ok: true, value: await run(only.work) }]
          : await run(async (tx) => {
              const all: Outcome[] = [];
              for (const one of these) all.push(await alone(tx, one));
              return all;
            });
      these.forEach((one, i) => {
        const outcome = outcomes[i];
        if (outcome?.ok) one.done(outcome.value);
        else one.failed(outcome?.error);
      });
    } catch (error) {
      for (const one of these) one.failed(error);
    }
  }

  async function go() {
    running = true;
    while (waiting.length > 0) {
      const these = waiting.slice(0, MOST_TOGETHER);
      waiting = waiting.slice(MOST_TOGETHER);
      await doThese(these);
    }
    running = false;
  }

  return <T>(work: Work<Tx, T>) =>
    new Promise<T>((done, failed) => {
      waiting.push({ work, done: done as Waiting<Tx>['done'], failed });
      if (!running) void go();
    });
}
