import { CHOICES, STABILIZERS } from '../../catalogue/materials';
import type { QuestionId } from '../../model/schoolIds';
import type { ChoicePart } from '../../model/ticket/layers';
import { CHOICE_RULES } from './choiceRules';
import { SUPPORT_RULES } from './supportRules';

/** One rule on layers, needle or thread, in words. */
export interface Belief {
  id: string;
  part: 'support' | ChoicePart;
  /** When it speaks. */
  on: string;
  /** What it concludes. */
  concludes: string;
  priority: number;
  school: { question: QuestionId; id: string } | null;
}

const byPart = (a: Belief, b: Belief): number =>
  a.part === b.part ? b.priority - a.priority : a.part < b.part ? -1 : 1;

/** All rules on layers, needle and thread, by what they decide and then in the order they decide. */
export const BELIEFS: readonly Belief[] = [
  ...SUPPORT_RULES.map(
    (rule): Belief => ({
      id: rule.id,
      part: 'support',
      on: rule.on,
      concludes: rule.sheets.map((id) => STABILIZERS[id].name).join(' + ') || 'Nothing underneath',
      priority: rule.priority,
      school: rule.school ?? null,
    }),
  ),
  ...CHOICE_RULES.map(
    (rule): Belief => ({
      id: rule.id,
      part: rule.part,
      on: rule.on,
      concludes: CHOICES[rule.part][rule.choice]?.name ?? rule.choice,
      priority: rule.priority,
      school: rule.school ?? null,
    }),
  ),
].sort(byPart);
