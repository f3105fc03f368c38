import { phrase } from '../../../base/units/phrase';
import { TAKES_AN_IRON, WORN, YOUNG } from '../conditions';
import type { RuleGroup } from '../orderOfRules';
import { type ChoiceRule, choiceRule } from '../rule';

/** What covers the back afterwards. */
export const COVER_RULES: RuleGroup<ChoiceRule> = {
  id: 'cover',
  rules: [
    choiceRule('cover', 'soft-cover', {
      id: 'cover-young',
      on: [YOUNG, TAKES_AN_IRON],
      reason: () => phrase`Young skin: a soft sheet over the back after stitching.`,
    }),
    choiceRule('cover', 'lining', {
      id: 'cover-young-no-iron',
      on: [YOUNG],
      reason: () => phrase`Young skin, and nothing may be fused here: a lining sewn over the back.`,
    }),
    choiceRule('cover', 'none', {
      id: 'cover-none',
      on: [],
      reason: (f) =>
        f.worn
          ? phrase`Soft enough for grown skin; offered if it scratches.`
          : phrase`Nothing lies on skin for long.`,
    }),
    choiceRule('cover', 'soft-cover', {
      id: 'cover-offered',
      on: [WORN],
      givesWayTo: ['cover-none'],
      reason: () => phrase`A soft sheet over the back, if it scratches.`,
    }),
  ],
};

/** How what stays is trimmed. */
export const TRIM_RULES: RuleGroup<ChoiceRule> = {
  id: 'trim',
  rules: [
    choiceRule('trim', 'rounded', {
      id: 'trim-rounded',
      on: [],
      school: { question: 'trim', id: 'rounded' },
      reason: () => phrase`Enough left to carry the stitches, no corner to feel.`,
    }),
    choiceRule('trim', 'close', {
      id: 'trim-close',
      on: [],
      school: { question: 'trim', id: 'close' },
      reason: () => phrase`This shop trims close.`,
    }),
    choiceRule('trim', 'tear-all', {
      id: 'trim-tear',
      on: [],
      school: { question: 'trim', id: 'tearAll' },
      reason: () => phrase`This shop tears out everything that comes.`,
    }),
  ],
};
