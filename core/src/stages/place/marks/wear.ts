import { mm, phrase } from '../../../base/units/phrase';
import { isA } from '../../piece/geometry';
import type { MarkAct } from './acts';
import { sideNamed } from './centre';
import type { MarkingWay } from './markMethod';
import type { MarkQuestion, MarkStep } from './markStep';
import { step } from './markStep';
import { readingActs, readingInWords } from './reading';

function wearSteps(q: MarkQuestion): MarkStep[] {
  const middle: MarkAct[] = [
    { do: 'beside', at: { x: 0, y: 0 }, mm: 0 },
    { do: 'beside', at: { x: 0, y: 100 }, mm: 0 },
    { do: 'join' },
  ];
  return [
    step(phrase`Print the template at 100 % and cut it out. Put the garment on the person, shoulders level.`),
    step(
      phrase`Start at the tape's reading, ${readingInWords(q, 'middle')}, and tape the template on with low-tack tape.`,
      {
        figure: mm(Math.abs(q.centre.y - q.spot.depth.at.y)),
        tape: { from: { x: q.centre.x, y: q.spot.depth.at.y }, to: q.centre },
        cross: q.centre,
        hint: sideNamed(q, q.centre.x),
        acts: [...middle, ...readingActs(q, q.centre.x)],
      },
    ),
    step(
      phrase`Step back and look in a mirror. Move it until it sits right on the person, not on the seams; its top edge level.`,
    ),
    step(
      phrase`Mark through the holes: the centre and both axis ends. Take the garment off and measure where the centre is now.`,
      {
        cross: q.centre,
        hint: phrase`Enter the difference by dragging the design on the sheet, or type it, so that the plan knows.`,
      },
    ),
  ];
}

/** On the person who wears it, with a printed template. */
export const WEAR: MarkingWay = {
  id: 'wear',
  serves: (piece, { corner, edge }) => !corner && !edge && isA(piece.kind, 'worn'),
  steps: wearSteps,
};
