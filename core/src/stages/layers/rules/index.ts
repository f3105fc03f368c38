import { inDecidingOrder, type RuleGroup } from '../orderOfRules';
import type { ChoiceRule, SupportRule } from '../rule';
import { COVER_RULES, TRIM_RULES } from './after';
import { CANVAS_RULES } from './canvas';
import { KNITS_RULES } from './knits';
import { LINEN_RULES } from './linen';
import { LOOPS_RULES } from './loops';
import { NEEDLE_RULES } from './needle';
import { THINGS_RULES } from './things';
import { BOBBIN_RULES, THREAD_RULES } from './thread';
import { TOPPER_RULES } from './topper';
import { WORN_RULES } from './worn';
import { WOVENS_RULES } from './wovens';

/** What supports which cloth. */
const SUPPORT_GROUPS: readonly RuleGroup<SupportRule>[] = [
  THINGS_RULES,
  WORN_RULES,
  LOOPS_RULES,
  KNITS_RULES,
  LINEN_RULES,
  CANVAS_RULES,
  WOVENS_RULES,
];

/** What goes on top, through and after: a group to each part. */
const CHOICE_GROUPS: readonly RuleGroup<ChoiceRule>[] = [
  TOPPER_RULES,
  NEEDLE_RULES,
  THREAD_RULES,
  BOBBIN_RULES,
  COVER_RULES,
  TRIM_RULES,
];

/** The rules on support, in the order they decide. Sheets from the cloth downwards. */
export const SUPPORT_RULES: readonly SupportRule[] = inDecidingOrder(SUPPORT_GROUPS);

/** The rules on everything else, one choice to each part, in the order they decide. */
export const CHOICE_RULES: readonly ChoiceRule[] = CHOICE_GROUPS.flatMap((group) => inDecidingOrder([group]));

/** Every group of rules, for those who look at what they say of each other. */
export const RULE_GROUPS = [SUPPORT_GROUPS, ...CHOICE_GROUPS.map((group) => [group])] as const;
