import { inWorker } from './inWorker';

/** A worker that does nothing of its own: what becomes of the work is said by the test. */
function fakeWorker() {
  const worker = {
    ended: false,
    onerror: null as null | (() => void),
    terminate: () => {
      worker.ended = true;
    },
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    postMessage: () => undefined,
    start: () => undefined,
  };
  return worker;
}

const work = (ask: () => Promise<number>, limitMs = 60_000) => {
  const worker = fakeWorker();
  const job = inWorker<unknown, number>({
    make: () => worker as unknown as Worker,
    ask,
    limitMs,
    what: 'The drawing',
  });
  return { worker, job };
};
const never = () => new Promise<number>(() => undefined);

it('gives what the worker found, and ends it', async () => {
  const { worker, job } = work(async () => 7);
  expect(await job.done).toEqual({ state: 'done', value: 7 });
  expect(worker.ended).toBe(true);
});

it('says in words that the worker threw', async () => {
  const { worker, job } = work(() => Promise.reject(new Error('on purpose')));
  expect(await job.done).toMatchObject({
    state: 'failed',
    message: expect.stringMatching(/^The drawing .* Your ticket is as it was\.$/),
  });
  expect(worker.ended).toBe(true);
});

it('says that it could not be loaded', async () => {
  const { worker, job } = work(never);
  worker.onerror?.();
  expect(await job.done).toMatchObject({ state: 'failed' });
  expect(worker.ended).toBe(true);
});

it('is given up when it takes longer than it may', async () => {
  const { worker, job } = work(never, 20);
  expect(await job.done).toMatchObject({
    state: 'failed',
    message: expect.stringMatching(/was given up after 0 seconds/),
  });
  expect(worker.ended).toBe(true);
});

it('is stopped at once, and the next one begins anew', async () => {
  const { worker, job } = work(never);
  job.stop();
  expect(await job.done).toEqual({ state: 'stopped' });
  expect(worker.ended).toBe(true);
  const next = work(async () => 8);
  expect(await next.job.done).toEqual({ state: 'done', value: 8 });
});
