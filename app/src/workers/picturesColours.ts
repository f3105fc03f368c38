import type { DominantColour } from '@zt/core/base/colour/dominant';
import type { ColoursWorker } from './colours.worker';
import { inWorker, type WorkerJob } from './inWorker';
import { startWorker } from './startWorker';

const LIMIT_MS = 20_000;

/** The colours of a picture, found in a worker of its own; null for a file that is no picture. */
export const picturesColours = (file: Blob, count: number): WorkerJob<DominantColour[] | null> =>
  inWorker<ColoursWorker, DominantColour[] | null>({
    make: () => startWorker('colours'),
    ask: (remote) => remote.coloursOf(file, count),
    limitMs: LIMIT_MS,
    what: 'The picture',
  });
