import type { StitchAnswer } from '@zt/core/stages/design/stitches/answer';
import type { StitchQuestion } from '@zt/core/stages/design/stitches/question';
import type { StitchProgress } from '@zt/core/stages/design/stitches/stitchDesign';
import { proxy } from 'comlink';
import { inWorker, type WorkerJob } from './inWorker';
import { startWorker } from './startWorker';
import type { StitchWorker } from './stitch.worker';

/** A design that takes longer is more than one hooping of anything. */
const LIMIT_MS = 90_000;

/** Makes the stitches of a design in a worker of its own. */
export const makingStitches = (
  question: StitchQuestion,
  onProgress: (progress: StitchProgress) => void,
): WorkerJob<StitchAnswer> =>
  inWorker<StitchWorker, StitchAnswer>({
    make: () => startWorker('stitch'),
    ask: (remote) => remote.stitch(question, proxy(onProgress)),
    limitMs: LIMIT_MS,
    what: 'The stitching',
  });
