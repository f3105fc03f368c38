import type { CutAsked, CutProgress, CutSheet } from '@zt/core/files/cutFile/cutSheet';
import { proxy } from 'comlink';
import type { CutWorker } from './cut.worker';
import { inWorker, type WorkerJob } from './inWorker';
import { startWorker } from './startWorker';

/** What takes longer is more than is cut in one go. */
const LIMIT_MS = 60_000;

/** Lays the pieces of an appliqué on their cloth in a worker of its own. */
export const cuttingCloth = (
  asked: CutAsked,
  onProgress: (progress: CutProgress) => void,
): WorkerJob<CutSheet[]> =>
  inWorker<CutWorker, CutSheet[]>({
    make: () => startWorker('cut'),
    ask: (remote) => remote.cut(asked, proxy(onProgress)),
    limitMs: LIMIT_MS,
    what: 'The laying of the pieces',
  });
