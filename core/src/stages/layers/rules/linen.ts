import { phrase } from '../../../base/units/phrase';
import { FLOATED, HOOPED, MAY_GET_WET, OPEN_WEAVE, SHEER, TAKES_AN_IRON } from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import type { SupportRule } from '../rule';

/** Open weaves and sheers: nothing may be seen behind them. */
export const LINEN_RULES: RuleGroup<SupportRule> = {
  id: 'linen',
  before: ['wovens'],
  rules: [
    {
      id: 'linen-fused',
      on: [OPEN_WEAVE, HOOPED, TAKES_AN_IRON, MAY_GET_WET],
      sheets: ['dissolving-fusible'],
      further: 'tear-away',
      reason: () => phrase`Open weave shows what is left behind: half of this dissolves, the rest tears.`,
    },
    {
      id: 'sheer',
      on: [SHEER, MAY_GET_WET],
      sheets: ['wash-away-film-heavy'],
      further: 'wash-away-film-heavy',
      reason: () => phrase`On a sheer nothing may be left behind.`,
    },
    {
      id: 'linen-sticky',
      on: [OPEN_WEAVE, MAY_GET_WET],
      sheets: ['dissolving-sticky'],
      further: 'tear-away',
      reason: () => phrase`Ring marks are feared on linen: floated on the sticky dissolving sheet.`,
    },
    {
      id: 'linen-fused-floated',
      on: [OPEN_WEAVE, TAKES_AN_IRON, MAY_GET_WET, FLOATED],
      givesWayTo: ['linen-sticky'],
      sheets: ['dissolving-fusible', 'dissolving-sticky'],
      further: 'tear-away',
      reason: () =>
        phrase`Fused, the weave cannot creep; floated on the sticky sheet, no ring marks it. Both dissolve.`,
    },
  ],
};
