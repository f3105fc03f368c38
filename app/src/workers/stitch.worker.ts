import { answerStitches, type StitchAnswer } from '@zt/core/stages/design/stitches/answer';
import type { StitchQuestion } from '@zt/core/stages/design/stitches/question';
import type { StitchProgress } from '@zt/core/stages/design/stitches/stitchDesign';
import { clipperFrom } from '@zt/core/stages/design/svg/tools';
import { expose, transfer } from 'comlink';
import { bytesOf } from './bytes';

/** At most so often is progress told. */
const TELL_EVERY_MS = 60;

/** Makes stitches away from the screen's thread, telling how far it has come. */
const stitchWorker = {
  stitch: async (
    question: StitchQuestion,
    tell: (progress: StitchProgress) => void,
  ): Promise<StitchAnswer> => {
    const work = answerStitches(question, await clipperFrom(bytesOf('/wasm/clipper.wasm')));
    let told = 0;
    for (;;) {
      const { value, done } = work.next();
      if (done) {
        const { x, y, kind, stop, element } = value.stitches;
        const arrays = [x, y, kind, stop, element, ...(value.map ? [value.map.cover] : [])];
        return transfer(
          value,
          arrays.map(({ buffer }) => buffer as ArrayBuffer),
        );
      }
      const now = performance.now();
      if (now - told < TELL_EVERY_MS) continue;
      told = now;
      await tell(value);
    }
  },
};
export type StitchWorker = typeof stitchWorker;

expose(stitchWorker);
