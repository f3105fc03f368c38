import { numberFor } from '../../catalogue/houseNumber';
import { CHOICES, type Choice, STABILIZERS } from '../../catalogue/materials';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import {
  CHOICE_PARTS,
  type ChoicePart,
  type LayersInput,
  type Sheet,
  type StabilizerId,
} from '../../model/ticket/layers';
import type { Way } from '../../model/way';
import type { LayerFacts } from './facts';
import { breaksNever, type Stack } from './never';
import { heldHere, placeSheets } from './placing';
import { type ChoiceRule, type Decision, decide, type SupportRule } from './rule';
import { CHOICE_RULES, SUPPORT_RULES } from './rules';
import { wayApplies } from './ways';

const RULES_BY_PART = Object.fromEntries(
  CHOICE_PARTS.map((part) => [part, CHOICE_RULES.filter((rule) => rule.part === part)]),
) as Record<ChoicePart, ChoiceRule[]>;

/** What the rules decide for one part, and what a way of the shop's or the maker put in its place. */
export interface PartDecision {
  /** As it will be. */
  choice: Choice;
  /** As ruled, by its id: the way's where one speaks of it, else the rule's. */
  ruled: string;
  decision: Decision<ChoiceRule>;
  /** The way of the shop's own that decided it. */
  way: Way | null;
  /** Nothing under the stitches stays in, so there is nothing to trim. */
  nothingStays: boolean;
}

/** What the rules decide, before anything of it is explained. */
export interface LayersDecision {
  support: Decision<SupportRule>;
  /** The way of the shop's own that is followed. */
  way: Way | null;
  /** Ways that apply and must not be followed here: their stacks break a never. */
  waysRefused: Way[];
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
    f.knit && f.rank >= 2 && f.stretchPercent >= numberFor(f.rules, LAYER_NUMBERS.veryStretchyPercent),
} as const;

/** How many layers the design asks for: one and one more for each reason, at most the house number. */
export function layersAsked(facts: LayerFacts): number {
  const more = Object.values(MORE_LAYERS).filter((adds) => adds(facts)).length;
  const asked = Math.min(numberFor(facts.rules, LAYER_NUMBERS.mostLayers), 1 + more);
  return facts.schools.layerCount === 'alwaysTwo' ? Math.max(2, asked) : asked;
}

/** The sheets of a rule for so many layers: its own, then its further ones, as many as it stands. */
export function sheetsOf(rule: SupportRule, layers: number): StabilizerId[] {
  const wanted = Math.min(Math.max(layers, rule.sheets.length), rule.most ?? Infinity);
  const further = Array.from({ length: Math.max(0, wanted - rule.sheets.length) }, () => rule.further);
  return [...rule.sheets, ...further];
}

/** A rule's stack for so many layers, each sheet held as the shop holds. */
export const sheetsByRule = (rule: SupportRule, layers: number, facts: LayerFacts): Sheet[] =>
  heldHere(placeSheets(sheetsOf(rule, layers), rule, facts), facts);

type Chosen = { sheets: readonly Sheet[]; way: Way | null; input: LayersInput };

function decidePart(part: ChoicePart, facts: LayerFacts, { sheets, way, input }: Chosen): PartDecision {
  const decision = decide(RULES_BY_PART[part], facts);
  if (!decision) throw new Error(`assertion failed: no rule for ${part}`);
  const staysIn = sheets.some((s) => STABILIZERS[s.stabilizer].staysIn);
  const nothingStays = part === 'trim' && !staysIn && input.choices.trim === undefined;
  const byWay = nothingStays ? undefined : way?.choices[part];
  const ruled = nothingStays ? 'none' : (byWay?.choice ?? decision.rule.choice);
  const choice = CHOICES[part][input.choices[part]?.choice ?? ruled];
  if (!choice) throw new Error(`assertion failed: unknown ${part} ${ruled}`);
  return { choice, ruled, decision, way: byWay ? way : null, nothingStays };
}

/** Every part decided; the needle follows the thread chosen. */
function decideParts(facts: LayerFacts, chosen: Chosen): Record<ChoicePart, PartDecision> {
  const thread = decidePart('thread', facts, chosen);
  const threadId = thread.choice.id as LayerFacts['thread'];
  const threaded = threadId === facts.thread ? facts : { ...facts, thread: threadId };
  const of = (part: ChoicePart) => decidePart(part, threaded, chosen);
  return {
    topper: of('topper'),
    needle: of('needle'),
    thread,
    bobbin: of('bobbin'),
    cover: of('cover'),
    trim: of('trim'),
  };
}

const stackOf = (sheets: readonly Sheet[], parts: Record<ChoicePart, PartDecision>): Stack => ({
  sheets,
  topper: parts.topper.choice.id,
  cover: parts.cover.choice.id,
  trim: parts.trim.choice.id,
});

const NOTHING_CHOSEN: LayersInput = { support: null, choices: {} };

/** The shop's ways that are on and apply here, the latest first: the one to follow, and those that must not be. */
function waysFor(facts: LayerFacts): Pick<LayersDecision, 'way' | 'waysRefused'> {
  const applying = facts.rules.ways.filter((way) => way.on && wayApplies(way.applies, facts));
  const mayBe = (way: Way) => {
    const parts = decideParts(facts, { sheets: way.sheets, way, input: NOTHING_CHOSEN });
    return !breaksNever(stackOf(way.sheets, parts), facts);
  };
  const way = applying.find(mayBe) ?? null;
  return { way, waysRefused: applying.filter((other) => other !== way && !mayBe(other)) };
}

/** Decides every layer by the shop's ways and the rules, with the maker's own choices in their place. */
export function decideLayers(input: LayersInput, facts: LayerFacts): LayersDecision {
  const support = decide(SUPPORT_RULES, facts);
  if (!support) throw new Error('assertion failed: the last support rule applies to everything');
  const { way, waysRefused } = facts.rules.ways.length > 0 ? waysFor(facts) : { way: null, waysRefused: [] };
  const layers = layersAsked(facts);
  const ofWay = way && heldHere(way.sheets, facts);
  const sheets = input.support?.sheets ?? ofWay ?? sheetsByRule(support.rule, layers, facts);
  const parts = decideParts(facts, { sheets, way, input });
  return { support, way, waysRefused, layers, sheets, parts, stack: stackOf(sheets, parts) };
}
