import { phrase } from '../../../base/units/phrase';
import { CANVAS, CARRIED, CARRIES_IT, FAUX_SUEDE, HOOPED } from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import type { SupportRule } from '../rule';

/** Canvas and faux suede. */
export const CANVAS_RULES: RuleGroup<SupportRule> = {
  id: 'canvas',
  rules: [
    {
      id: 'canvas-nothing',
      on: [CANVAS, HOOPED, CARRIES_IT],
      before: ['cushion'],
      sheets: [],
      further: 'tear-away',
      most: 0,
      school: { question: 'thickJacket', id: 'nothing' },
      reason: (f) =>
        f.closesWithSheet
          ? phrase`Canvas carries the stitches by itself; a sheet would only make it harder to close.`
          : phrase`Canvas carries the stitches by itself; a sheet would stop the hoop closing.`,
    },
    {
      id: 'faux-suede',
      on: [FAUX_SUEDE],
      before: ['cushion'],
      sheets: ['cut-away'],
      further: 'tear-away',
      held: { bond: 'sprayed' },
      reason: () => phrase`Faux suede keeps every hole: cut-away, held with spray.`,
    },
    {
      id: 'canvas-floated',
      on: [CANVAS],
      before: ['cushion'],
      sheets: ['tear-away'],
      further: 'tear-away',
      held: { where: 'under the ring' },
      reason: (f) =>
        f.floated
          ? phrase`Canvas is stiff enough: it lies on a sheet that tears away.`
          : phrase`A sheet slipped under the ring, so that the hoop still closes on the canvas.`,
    },
    {
      id: 'canvas-mesh',
      on: [CANVAS, CARRIED],
      givesWayTo: ['canvas-floated'],
      sheets: ['mesh'],
      further: 'mesh',
      reason: () =>
        phrase`One light mesh stays in a bag: it carries the stitches when the canvas is worked soft.`,
    },
  ],
};
