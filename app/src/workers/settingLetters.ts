import type {
  DesignWorker,
  LettersAnswer,
  LettersQuestion,
  NamesAnswer,
  NamesQuestion,
} from './design.worker';
import { inWorker, type WorkerJob } from './inWorker';
import { startWorker } from './startWorker';

/** Letters that take longer are none that anyone stitches. */
const LIMIT_MS = 20_000;

const make = () => startWorker('design');

/** Sets letters in a worker of its own: their outlines, and the stitches they would take. */
export const settingLetters = (question: LettersQuestion): WorkerJob<LettersAnswer> =>
  inWorker<DesignWorker, LettersAnswer>({
    make,
    ask: (remote) => remote.setLetters(question),
    limitMs: LIMIT_MS,
    what: 'The lettering',
  });

/** Sets some names of an order, each held against the width that is allowed. */
export const settingNames = (question: NamesQuestion): WorkerJob<NamesAnswer> =>
  inWorker<DesignWorker, NamesAnswer>({
    make,
    ask: (remote) => remote.setNames(question),
    limitMs: LIMIT_MS,
    what: 'The lettering of the names',
  });
