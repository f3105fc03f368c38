import { phrase } from '../../../base/units/phrase';
import { FLOATED, MAY_GET_WET, WORN } from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import type { SupportRule } from '../rule';

/** What is worn, by the schools that back it with something of their own. */
export const WORN_RULES: RuleGroup<SupportRule> = {
  id: 'worn',
  before: ['loops', 'knits', 'linen', 'canvas', 'wovens'],
  rules: [
    {
      id: 'wearable-wash-away-floated',
      on: [WORN, MAY_GET_WET, FLOATED],
      sheets: ['wash-away-sticky'],
      further: 'cut-away',
      school: { question: 'wearableBacking', id: 'washAway' },
      reason: (f) =>
        f.heavy
          ? phrase`This shop floats what is worn on sticky wash-away; a heavy design gets a cut-away as well.`
          : phrase`This shop floats what is worn on sticky wash-away: nothing is left to feel.`,
    },
    {
      id: 'wearable-wash-away',
      on: [WORN, MAY_GET_WET],
      sheets: ['wash-away-cloth'],
      further: 'wash-away-cloth',
      school: { question: 'wearableBacking', id: 'washAway' },
      reason: () => phrase`This shop backs what is worn with wash-away: nothing is left to feel.`,
    },
    {
      id: 'wearable-mesh-tear',
      on: [WORN],
      sheets: ['mesh', 'tear-away'],
      further: 'tear-away',
      school: { question: 'wearableBacking', id: 'meshTear' },
      reason: () => phrase`This shop backs what is worn with mesh, and tear-away while stitching.`,
    },
  ],
};
