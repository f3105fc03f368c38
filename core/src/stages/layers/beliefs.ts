import { CHOICES, STABILIZERS } from '../../catalogue/materials';
import type { QuestionId } from '../../model/schoolIds';
import type { ChoicePart } from '../../model/ticket/layers';
import { conditionsInWords } from './conditions';
import type { ChoiceRule, SupportRule } from './rule';
import { CHOICE_RULES, SUPPORT_RULES } from './rules';

/** One rule on layers, needle or thread, in words. */
export interface Belief {
  id: string;
  part: 'support' | ChoicePart;
  /** When it speaks. */
  on: string;
  /** What it concludes. */
  concludes: string;
  school: { question: QuestionId; id: string } | null;
}

const ofSupport = (rule: SupportRule): Belief => ({
  id: rule.id,
  part: 'support',
  on: conditionsInWords(rule.on, 'any cloth'),
  concludes: rule.sheets.map((id) => STABILIZERS[id].name).join(' + ') || 'Nothing underneath',
  school: rule.school ?? null,
});

const ofChoice = (rule: ChoiceRule): Belief => ({
  id: rule.id,
  part: rule.part,
  on: conditionsInWords(rule.on, rule.part === 'topper' || rule.part === 'needle' ? 'any cloth' : 'anything'),
  concludes: CHOICES[rule.part][rule.choice]?.name ?? rule.choice,
  school: rule.school ?? null,
});

/** All rules on layers, needle and thread, by what they decide and then in the order they decide. */
export const BELIEFS: readonly Belief[] = [
  ...SUPPORT_RULES.map(ofSupport),
  ...CHOICE_RULES.map(ofChoice),
].sort((a, b) => (a.part === b.part ? 0 : a.part < b.part ? -1 : 1));
