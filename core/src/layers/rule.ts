import type { QuestionId } from '../rules/schools';
import type { Phrase } from '../units/phrase';
import type { LayerFacts } from './facts';
import type { ChoicePart, StabilizerId } from './schema';

/**
 * One thing this trade believes: when it speaks, what it concludes, and why. Among the rules of a part
 * that apply, the highest priority decides; the others that apply are offered as alternatives.
 * A rule of a school speaks only where the shop follows it.
 */
interface RuleBase {
  id: string;
  priority: number;
  school?: { question: QuestionId; id: string };
  when: (facts: LayerFacts) => boolean;
  reason: (facts: LayerFacts) => Phrase;
}

/** What supports the cloth: sheets from the cloth downwards, and what a further layer would be. */
export interface SupportRule extends RuleBase {
  sheets: readonly StabilizerId[];
  further: StabilizerId;
  /** Sheets at most, where more would do harm. */
  most?: number;
}

export interface ChoiceRule extends RuleBase {
  part: ChoicePart;
  choice: string;
}

/** The rule that decides, and the others that could. */
export interface Decision<R extends RuleBase> {
  rule: R;
  others: R[];
}

const schoolAgrees = (rule: RuleBase, facts: LayerFacts) =>
  !rule.school || facts.schools[rule.school.question] === rule.school.id;

/**
 * The deciding rule among those that apply; null when none does. Rules of schools not followed are
 * offered as alternatives where their condition holds.
 */
export function decide<R extends RuleBase>(rules: readonly R[], facts: LayerFacts): Decision<R> | null {
  const applying = rules.filter((rule) => rule.when(facts)).sort((a, b) => b.priority - a.priority);
  const rule = applying.find((r) => schoolAgrees(r, facts));
  return rule ? { rule, others: applying.filter((r) => r !== rule) } : null;
}
