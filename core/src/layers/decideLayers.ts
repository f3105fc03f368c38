import { numberFor } from '../rules/numbers';
import { CHOICE_RULES } from './choiceRules';
import type { LayerFacts } from './facts';
import { holdSheets } from './hold';
import { CHOICES, type Choice, STABILIZERS } from './materials';
import type { Stack } from './never';
import { byPriority, type ChoiceRule, type Decision, decide, type SupportRule } from './rule';
import { CHOICE_PARTS, type ChoicePart, type LayersInput, type Sheet, type StabilizerId } from './schema';
import { SUPPORT_RULES } from './supportRules';

const SUPPORT_ORDER = byPriority(SUPPORT_RULES);
const CHOICE_ORDER = Object.fromEntries(
  CHOICE_PARTS.map((part) => [part, byPriority(CHOICE_RULES.filter((rule) => rule.part === part))]),
) as Record<ChoicePart, ChoiceRule[]>;

/** What the rules decide for one part, and what the maker put in its place. */
export interface PartDecision {
  /** As it will be. */
  choice: Choice;
  /** As ruled, by its id. */
  ruled: string;
  decision: Decision<ChoiceRule>;
  /** Nothing under the stitches stays in, so there is nothing to trim. */
  nothingStays: boolean;
}

/** What the rules decide, before anything of it is explained. */
export interface LayersDecision {
  support: Decision<SupportRule>;
  /** How many layers the design asks for. */
  layers: number;
  sheets: Sheet[];
  parts: Record<ChoicePart, PartDecision>;
  stack: Stack;
}

/** What adds a layer to the first one. */
export const MORE_LAYERS = {
  heavy: (f: LayerFacts) => f.rank >= 3,
  many: (f: LayerFacts) => f.many,
  stretchy: (f: LayerFacts) =>
    f.knit && f.rank >= 2 && f.stretchPercent >= numberFor(f.rules, 'veryStretchyPercent'),
} as const;

/** How many layers the design asks for: one and one more for each reason, at most the house number. */
export function layersAsked(facts: LayerFacts): number {
  const more = Object.values(MORE_LAYERS).filter((adds) => adds(facts)).length;
  const asked = Math.min(numberFor(facts.rules, 'mostLayers'), 1 + more);
  return facts.schools.layerCount === 'alwaysTwo' ? Math.max(2, asked) : asked;
}

/** The sheets of a rule for so many layers: its own, then its further ones, as many as it stands. */
export function sheetsOf(rule: SupportRule, layers: number): StabilizerId[] {
  const wanted = Math.min(Math.max(layers, rule.sheets.length), rule.most ?? Infinity);
  const further = Array.from({ length: Math.max(0, wanted - rule.sheets.length) }, () => rule.further);
  return [...rule.sheets, ...further];
}

function decidePart(
  part: ChoicePart,
  input: LayersInput,
  facts: LayerFacts,
  sheets: readonly Sheet[],
): PartDecision {
  const decision = decide(CHOICE_ORDER[part], facts);
  if (!decision) throw new Error(`assertion failed: no rule for ${part}`);
  const nothingStays = part === 'trim' && !sheets.some((s) => STABILIZERS[s.stabilizer].staysIn);
  const ruled = nothingStays ? 'none' : decision.rule.choice;
  const choices = CHOICES[part];
  const choice = choices[input.choices[part]?.choice ?? ruled] ?? choices[ruled];
  if (!choice) throw new Error(`assertion failed: unknown ${part} ${ruled}`);
  return { choice, ruled, decision, nothingStays };
}

/** Decides every layer by the rules, with the maker's own choices in their place. The needle follows the thread chosen. */
export function decideLayers(input: LayersInput, facts: LayerFacts): LayersDecision {
  const support = decide(SUPPORT_ORDER, facts);
  if (!support) throw new Error('assertion failed: the last support rule applies to everything');
  const layers = layersAsked(facts);
  const sheets = input.support?.sheets ?? holdSheets(sheetsOf(support.rule, layers), facts);
  const thread = decidePart('thread', input, facts, sheets);
  const threaded = thread.choice.id === facts.thread ? facts : { ...facts, thread: thread.choice.id };
  const of = (part: ChoicePart) => decidePart(part, input, threaded, sheets);
  const parts = {
    topper: of('topper'),
    needle: of('needle'),
    thread,
    bobbin: of('bobbin'),
    cover: of('cover'),
    trim: of('trim'),
  };
  return {
    support,
    layers,
    sheets,
    parts,
    stack: { sheets, topper: parts.topper.choice.id, cover: parts.cover.choice.id },
  };
}
