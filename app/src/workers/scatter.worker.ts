import { type ScatterProgress, type ScatterQuestion, scatter } from '@zt/core/stages/place/scatter';
import { expose } from 'comlink';

/** At most so often is progress told. */
const TELL_EVERY_MS = 60;

/** Scatters motifs away from the screen's thread, telling how far it has come. */
const scatterWorker = {
  scatter: async (question: ScatterQuestion, tell: (progress: ScatterProgress) => void) => {
    const search = scatter(question);
    let told = 0;
    for (;;) {
      const { value, done } = search.next();
      if (done) return value;
      const now = performance.now();
      if (now - told < TELL_EVERY_MS) continue;
      told = now;
      await tell(value);
    }
  },
};
export type ScatterWorker = typeof scatterWorker;

expose(scatterWorker);
