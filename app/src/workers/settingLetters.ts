import type { DesignWorker, LettersAnswer, LettersQuestion } from './design.worker';
import { inWorker, type WorkerJob } from './inWorker';

/** Letters that take longer are none that anyone stitches. */
const LIMIT_MS = 20_000;

/** Sets letters in a worker of its own: their outlines, and the stitches they would take. */
export const settingLetters = (question: LettersQuestion): WorkerJob<LettersAnswer> =>
  inWorker<DesignWorker, LettersAnswer>({
    make: () => new Worker(new URL('./design.worker.ts', import.meta.url)),
    ask: (remote) => remote.setLetters(question),
    limitMs: LIMIT_MS,
    what: 'The lettering',
  });
