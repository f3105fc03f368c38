import { inWorker, type WorkerJob } from './inWorker';
import type { PhotoWorker, Prepared } from './photo.worker';
import { startWorker } from './startWorker';

const LIMIT_MS = 60_000;

/** A file made ready to be kept as a photo, in a worker of its own; or why it cannot be. */
export const preparingPhoto = (file: Blob): WorkerJob<Prepared> =>
  inWorker<PhotoWorker, Prepared>({
    make: () => startWorker('photo'),
    ask: (remote) => remote.prepare(file),
    limitMs: LIMIT_MS,
    what: 'The photo',
  });
