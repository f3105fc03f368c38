import { mm, phrase } from '../../../base/units/phrase';
import { axisEnds, axisWords } from './axis';
import { centreLineSteps } from './lineSteps';
import type { MarkingWay } from './markMethod';
import type { MarkQuestion, MarkStep } from './markStep';
import { step } from './markStep';
import { readingActs, readingInWords } from './reading';

function templateSteps(q: MarkQuestion): MarkStep[] {
  const [, right] = axisEnds(q);
  return [
    step(phrase`Print the template at 100 %. Lay a ruler on its proving ruler: 100 mm must measure 100 mm.`, {
      hint: phrase`Cut it out; prick the centre and both axis ends.`,
    }),
    ...(q.spot.edge ? [] : centreLineSteps(q)),
    step(
      phrase`Lay the template with its arrow to the top, its centre ${readingInWords(q, 'centre line')}, its axis ${axisWords(q, right, q.centre)}.`,
      {
        figure: mm(Math.abs(q.centre.y - q.spot.depth.at.y)),
        tape: { from: { x: q.centre.x, y: q.spot.depth.at.y }, to: q.centre },
        cross: q.centre,
        acts: readingActs(q, q.centre.x - q.lineX),
      },
    ),
    step(
      phrase`Mark through the three holes: the centre and both axis ends, ${mm(q.facts.widthMm)} from end to end.`,
      {
        figure: mm(q.facts.widthMm),
        cross: q.centre,
      },
    ),
  ];
}

/** Through a printed template, laid by a reading. */
export const TEMPLATE: MarkingWay = {
  id: 'template',
  serves: (_, { corner }) => !corner,
  steps: templateSteps,
};
