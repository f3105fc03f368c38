import type { ScatterProgress, ScatterQuestion } from '@zt/core/stages/place/scatter';
import { proxy } from 'comlink';
import { inWorker, type Worked } from './inWorker';
import type { ScatterWorker } from './scatter.worker';
import { startWorker } from './startWorker';

/** A search that has not ended by then has found what there is to find. */
const LIMIT_MS = 60_000;

export interface Scattering {
  /** The best that was found; what was found before it was stopped, null when nothing was. */
  found: Promise<Worked<ScatterProgress | null>>;
  /** Ends the search; what was found until then is kept. */
  stop: () => void;
}

/** Scatters motifs in a worker of its own. */
export function scatterMotifs(
  question: ScatterQuestion,
  onProgress: (progress: ScatterProgress) => void,
): Scattering {
  let last: ScatterProgress | null = null;
  const tell = proxy((progress: ScatterProgress) => {
    last = progress;
    onProgress(progress);
  });
  const { done, stop } = inWorker<ScatterWorker, ScatterProgress | null>({
    make: () => startWorker('scatter'),
    ask: (remote) => remote.scatter(question, tell),
    limitMs: LIMIT_MS,
    what: 'The scatter',
  });
  const found = done.then(
    (worked): Worked<ScatterProgress | null> =>
      worked.state === 'stopped' ? { state: 'done', value: last } : worked,
  );
  return { found, stop };
}
