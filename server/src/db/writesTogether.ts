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

/** The database works without a pause: what came over the network meanwhile is read only when it is given its turn. */
const othersHaveCome = () => new Promise((turn) => setImmediate(turn));

type Outcome = { ok: true; value: unknown } | { ok: false; error: unknown };

/** Does works in one transaction; where one of them fails, all are undone, and null is returned. */
async function allOrNone<Tx>(run: Run<Tx>, these: readonly Waiting<Tx>[]): Promise<Outcome[] | null> {
  let ofWork: unknown;
  const done = async (tx: Tx, { work }: Waiting<Tx>): Promise<Outcome> => {
    try {
      return { ok: true, value: await work(tx) };
    } catch (error) {
      ofWork = error;
      throw error;
    }
  };
  try {
    return await run(async (tx) => {
      const all: Outcome[] = [];
      for (const one of these) all.push(await done(tx, one));
      return all;
    });
  } catch (error) {
    if (error === ofWork) return null;
    throw error;
  }
}

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
 * commit to the disk instead of one each. Nobody is told that a write is done before it is committed. Where one of them
 * fails, all are done once more, each in a transaction within: a work may be carried out twice, and counts once.
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
          : ((await allOrNone(run, these)) ??
            (await run(async (tx) => {
              const all: Outcome[] = [];
              for (const one of these) all.push(await alone(tx, one));
              return all;
            })));
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
      await othersHaveCome();
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
