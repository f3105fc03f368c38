import { count, phrase } from '../../../base/units/phrase';
import {
  DRAPES,
  FLOATED,
  HEAVY,
  HOUSEHOLD,
  NO_PILE,
  SAT_ON,
  STABLE_WOVEN,
  TAKES_AN_IRON,
} from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import type { SupportRule } from '../rule';

/** Stable wovens, what is sat on, and what holds for any cloth. */
export const WOVENS_RULES: RuleGroup<SupportRule> = {
  id: 'wovens',
  rules: [
    {
      id: 'drape',
      on: [DRAPES, TAKES_AN_IRON],
      before: ['household-sticky', 'cushion', 'woven-heavy'],
      sheets: ['tear-away-light-fusible'],
      further: 'tear-away',
      reason: (f) =>
        phrase`${f.fabricName} drapes: a light sheet fused for the stitching alone, and torn away.`,
    },
    {
      id: 'household-sticky',
      on: [HOUSEHOLD, STABLE_WOVEN, FLOATED],
      before: ['cushion', 'woven-heavy'],
      sheets: ['tear-away-sticky'],
      further: 'tear-away',
      held: { fastening: 'pins' },
      reason: () => phrase`Household linen is floated on a sticky tear-away, pins at the ring's edge.`,
    },
    {
      id: 'cushion',
      on: [SAT_ON, NO_PILE],
      before: ['woven-heavy', 'canvas-mesh'],
      sheets: ['cut-away'],
      further: 'tear-away',
      reason: () => phrase`A cushion is sat on: support that stays.`,
    },
    {
      id: 'woven-heavy',
      on: [STABLE_WOVEN, HEAVY],
      sheets: ['cut-away'],
      further: 'tear-away',
      reason: (f) =>
        phrase`${count(f.stitches)} stitches, ${f.densityName}: a tear-away would be cut to pieces.`,
    },
    {
      id: 'woven-tear-away',
      on: [],
      sheets: ['tear-away'],
      further: 'tear-away',
      reason: (f) => phrase`${f.fabricName} holds its own shape: a sheet that tears away is enough.`,
    },
  ],
};
