import { phrase } from '../../../base/units/phrase';
import { LOOPS, PILE, TAKES_AN_IRON, WAFFLE, WORN } from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import type { SupportRule } from '../rule';

/** Pile and waffle: what keeps loops together without a ring on them. */
export const LOOPS_RULES: RuleGroup<SupportRule> = {
  id: 'loops',
  before: ['wovens'],
  rules: [
    {
      id: 'loops-worn',
      on: [LOOPS, WORN, TAKES_AN_IRON],
      before: ['terry', 'pile-no-iron', 'waffle-sticky', 'knits'],
      sheets: ['mesh-fusible'],
      further: 'tear-away',
      reason: () => phrase`Worn, so no sticky sheet may stay on the skin: fused mesh is soft and stays in.`,
    },
    {
      id: 'loops-worn-no-iron',
      on: [LOOPS, WORN],
      before: ['terry', 'pile-no-iron', 'waffle-sticky', 'knits'],
      sheets: ['cut-away'],
      further: 'tear-away',
      reason: () => phrase`Worn, so no sticky sheet may stay on the skin: cut-away stays in.`,
    },
    {
      id: 'terry',
      on: [PILE, TAKES_AN_IRON],
      before: ['knit-cut-away', 'knit-fused-mesh'],
      sheets: ['tear-away-light-fusible', 'tear-away-sticky'],
      further: 'tear-away',
      most: 2,
      reason: () =>
        phrase`Pile is floated: a light sheet fused to the back keeps the loops together, the sticky sheet in the hoop holds it.`,
    },
    {
      id: 'pile-no-iron',
      on: [PILE],
      before: ['knit-cut-away', 'knit-fused-mesh'],
      sheets: ['tear-away-sticky'],
      further: 'tear-away',
      reason: () => phrase`Pile that takes no iron is floated on the sticky sheet alone.`,
    },
    {
      id: 'waffle-sticky',
      on: [WAFFLE],
      sheets: ['tear-away-sticky'],
      further: 'tear-away',
      reason: () => phrase`Household cloth is floated on a sticky tear-away: no ring on the waffle.`,
    },
  ],
};
