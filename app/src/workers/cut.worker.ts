import { type CutAsked, type CutProgress, type CutSheet, clothSheets } from '@zt/core/files/cutFile/cutSheet';
import { clipperFrom } from '@zt/core/stages/design/svg/tools';
import { expose } from 'comlink';
import { bytesOf } from './bytes';

/** At most so often is progress told. */
const TELL_EVERY_MS = 60;

/** Lays pieces on their cloth away from the screen's thread, telling how far it has come. */
const cutWorker = {
  cut: async (asked: CutAsked, tell: (progress: CutProgress) => void): Promise<CutSheet[]> => {
    const work = clothSheets(asked, await clipperFrom(bytesOf('/wasm/clipper.wasm')));
    let told = 0;
    for (;;) {
      const { value, done } = work.next();
      if (done) return value;
      const now = performance.now();
      if (now - told < TELL_EVERY_MS) continue;
      told = now;
      await tell(value);
    }
  },
};
export type CutWorker = typeof cutWorker;

expose(cutWorker);
