import { subtract } from '../../../base/geometry/point';
import { count, mm, phrase } from '../../../base/units/phrase';
import { axisEnds, wayThere } from './axis';
import type { MarkQuestion, MarkStep } from './markStep';
import { step } from './markStep';
/** The marks of every further copy: its centre, and its axis ends where it is turned otherwise than the first. */
export function copySteps(q: MarkQuestion): MarkStep[] {
  return q.copies.slice(1).flatMap((copy, i) => {
    const no = count(i + 2);
    const [left, right] = axisEnds({ facts: q.facts, centre: copy.centre, turnDeg: copy.turnDeg });
    const readingMm = Math.abs(copy.centre.x - copy.tapeFrom.x);
    return [
      step(phrase`No. ${no}: ${copy.reading}. Chalk its centre.`, {
        cross: copy.centre,
        tape: { from: copy.tapeFrom, to: copy.centre },
        figure: readingMm < 0.05 ? null : mm(readingMm),
      }),
      step(
        phrase`No. ${no}: both axis ends, ${mm(q.facts.widthMm / 2)} either side of its centre; the right one ${wayThere(subtract(right, copy.centre))} of it.`,
        {
          cross: left,
          tape: { from: copy.centre, to: right },
          figure: mm(q.facts.widthMm / 2),
        },
      ),
    ];
  });
}

/** Through to the wrong side, so that a patch of stabilizer can be centred there. */
export function transferStep({ centre, patch }: MarkQuestion): MarkStep {
  return step(
    phrase`Push a pin through the centre. On the wrong side, centre the stabilizer on it: at least ${mm(patch.widthMm)} × ${mm(patch.heightMm)}.`,
    {
      figure: mm(Math.max(patch.widthMm, patch.heightMm)),
      hint: phrase`The size of the patch matters, not how exactly it is centred. The pin comes out before the first stitch.`,
      cross: centre,
    },
  );
}
