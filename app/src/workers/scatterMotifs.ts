import type { ScatterProgress, ScatterQuestion } from '@zt/core/place/scatter';
import { proxy, wrap } from 'comlink';
import type { ScatterWorker } from './scatter.worker';

export interface Scattering {
  /** The best that was found; null when it was stopped before anything was. */
  found: Promise<ScatterProgress | null>;
  /** Ends the search; what was found until then is kept. */
  stop: () => void;
}

/** Scatters motifs in a worker of its own. */
export function scatterMotifs(
  question: ScatterQuestion,
  onProgress: (progress: ScatterProgress) => void,
): Scattering {
  const worker = new Worker(new URL('./scatter.worker.ts', import.meta.url));
  let last: ScatterProgress | null = null;
  let settle: (progress: ScatterProgress | null) => void = () => undefined;
  const stopped = new Promise<ScatterProgress | null>((resolve) => {
    settle = resolve;
  });
  const finished = wrap<ScatterWorker>(worker).scatter(
    question,
    proxy((progress: ScatterProgress) => {
      last = progress;
      onProgress(progress);
    }),
  );
  return {
    found: Promise.race([finished, stopped]).finally(() => worker.terminate()),
    stop: () => settle(last),
  };
}
