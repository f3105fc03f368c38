import type { FileShown, FileWorker } from './file.worker';
import { inWorker, type WorkerJob } from './inWorker';
import { startWorker } from './startWorker';

/** No file of a design takes longer. */
const LIMIT_MS = 30_000;

/** Reads a stitch file in a worker of its own. */
export const readingStitches = (text: string): WorkerJob<FileShown> =>
  inWorker<FileWorker, FileShown>({
    make: () => startWorker('file'),
    ask: (remote) => remote.read(text),
    limitMs: LIMIT_MS,
    what: 'The stitch file',
  });
