import { type Remote, wrap } from 'comlink';

/** What became of work in a worker. */
export type Worked<T> =
  | { state: 'done'; value: T }
  | { state: 'stopped' }
  | { state: 'failed'; message: string };

/** Work in a worker of its own: what will become of it, and the way to end it. */
export interface WorkerJob<T> {
  done: Promise<Worked<T>>;
  stop: () => void;
}

interface Work<W, T> {
  make: () => Worker;
  /** What is asked of the worker. */
  ask: (remote: Remote<W>) => Promise<T>;
  /** How long it may take, ms; afterwards the worker is ended. */
  limitMs: number;
  /** What it works at, for a person: `The drawing`. */
  what: string;
}

const SAFE = 'Your ticket is as it was.';

/**
 * Does work in a worker of its own, begun anew for each, and ended with it. It fails in words when the worker throws,
 * cannot be loaded, or takes longer than it may; it never goes on for ever.
 */
export function inWorker<W, T>({ make, ask, limitMs, what }: Work<W, T>): WorkerJob<T> {
  const worker = make();
  let stop: () => void = () => undefined;
  let limit: ReturnType<typeof setTimeout>;
  const done = new Promise<Worked<T>>((settle) => {
    const failed = (why: string) => settle({ state: 'failed', message: `${what} ${why}. ${SAFE}` });
    limit = setTimeout(
      () => failed(`was given up after ${Math.round(limitMs / 1000)} seconds: it is too much for one go`),
      limitMs,
    );
    worker.onerror = () => failed('could not be worked on here');
    ask(wrap<W>(worker)).then(
      (value) => settle({ state: 'done', value }),
      () => failed('could not be worked on: something in it is not as expected'),
    );
    stop = () => settle({ state: 'stopped' });
  }).finally(() => {
    clearTimeout(limit);
    worker.terminate();
  });
  return { done, stop: () => stop() };
}
