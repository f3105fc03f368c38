import type { Phrase } from '../../base/units/phrase';
import type { QuestionId } from '../../model/schoolIds';
import type { ChoiceId, ChoicePart, Sheet, StabilizerId } from '../../model/ticket/layers';
import { allHold, type Condition } from './conditions';
import type { LayerFacts } from './facts';

/**
 * One thing this trade believes: when it speaks, what it concludes, and why. Among the rules of a part
 * that apply, the most particular decides; the others that apply are offered as alternatives.
 * A rule of a school speaks only where the shop follows it.
 */
interface RuleBase {
  id: string;
  school?: { question: QuestionId; id: string };
  /** All of these must hold for it to speak; none: it speaks of anything. */
  on: readonly Condition[];
  /** Rules, by id, before which it decides where both speak. */
  before?: readonly string[];
  /** Rules, by id, that decide before it, though it may be the more particular one: it is offered beside them. */
  givesWayTo?: readonly string[];
  reason: (facts: LayerFacts) => Phrase;
}

/** What supports the cloth: sheets from the cloth downwards, and what a further layer would be. */
export interface SupportRule extends RuleBase {
  sheets: readonly StabilizerId[];
  further: StabilizerId;
  /** Sheets at most, where more would do harm. */
  most?: number;
  /** How its sheets are held, where the rule itself says so; the rest is the shop's schools'. */
  held?: Partial<Omit<Sheet, 'stabilizer'>>;
}

export interface ChoiceRule extends RuleBase {
  part: ChoicePart;
  choice: ChoiceId;
}

/** A rule on what a part is to be; the choice is one that the part knows. */
export const choiceRule = <P extends ChoicePart>(
  part: P,
  choice: ChoiceId<P>,
  rest: Omit<ChoiceRule, 'part' | 'choice'>,
): ChoiceRule => ({ part, choice, ...rest });

/** The rule that decides, and the others that could. */
export interface Decision<R extends RuleBase> {
  rule: R;
  others: R[];
}

/** Whether the shop follows the rule's school, where it has one. */
export const schoolAgrees = (rule: RuleBase, facts: LayerFacts) =>
  !rule.school || facts.schools[rule.school.question] === rule.school.id;

/**
 * The deciding rule among those that apply; null when none does. Takes rules in the order they decide. Rules of
 * schools not followed are offered as alternatives where their condition holds.
 */
export function decide<R extends RuleBase>(rules: readonly R[], facts: LayerFacts): Decision<R> | null {
  const applying = rules.filter(({ on }) => allHold(on, facts));
  const rule = applying.find((r) => schoolAgrees(r, facts));
  return rule ? { rule, others: applying.filter((r) => r !== rule) } : null;
}
