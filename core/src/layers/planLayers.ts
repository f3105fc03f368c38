import { type Finding, finding } from '../findings/finding';
import { because, type Reason, schoolReason } from '../findings/reason';
import { numberFor } from '../rules/numbers';
import type { Shelf } from '../shelf/schema';
import { count, type Phrase, percent, phrase } from '../units/phrase';
import { CHOICE_RULES } from './choiceRules';
import type { LayerFacts } from './facts';
import { clampedSheet, holdAllowed, holdSheets } from './hold';
import { CHOICES, type Choice, STABILIZERS } from './materials';
import { neverFindings } from './never';
import { type ChoiceRule, decide, type SupportRule } from './rule';
import { CHOICE_PARTS, type ChoicePart, type LayersInput, type Sheet, type StabilizerId } from './schema';
import { SUPPORT_RULES } from './supportRules';

export interface ChosenPart {
  part: ChoicePart;
  choice: Choice;
  overruled: boolean;
  why: string;
  reason: Reason;
  alternatives: { choice: Choice; reason: Phrase }[];
}

/** One layer of the cross-section, from the top. */
export interface StackLayer {
  role: 'topper' | 'cloth' | 'sheet';
  name: string;
  note: string;
  /** Held in the ring. */
  clamped: boolean;
  onShelf: boolean;
}

export interface LayersPlan {
  sheets: Sheet[];
  supportReason: Reason;
  supportOverruled: boolean;
  supportWhy: string;
  supportAlternatives: { sheets: Sheet[]; reason: Phrase }[];
  parts: Record<ChoicePart, ChosenPart>;
  stack: StackLayer[];
  findings: Finding[];
  reasons: Reason[];
}

/** How many layers the design asks for, and the sum. */
export function layerCount(facts: LayerFacts): { layers: number; sum: Phrase } {
  const parts: Phrase[] = [phrase`1`];
  if (facts.rank >= 3) parts.push(phrase`1 (${facts.densityName})`);
  if (facts.many) parts.push(phrase`1 (${count(facts.stitches)} stitches)`);
  if (facts.stretchPercent >= numberFor(facts.rules, 'veryStretchyPercent') && facts.knit && facts.rank >= 2)
    parts.push(phrase`1 (${percent(facts.stretchPercent)} stretch)`);
  const asked = Math.min(numberFor(facts.rules, 'mostLayers'), parts.length);
  const layers = facts.schools.layerCount === 'alwaysTwo' ? Math.max(2, asked) : asked;
  const sum = parts.flatMap((part, i) => (i === 0 ? part : [' + ', ...part]));
  return { layers, sum: phrase`${sum} = ${count(parts.length)}; layers: ${count(layers)}` };
}

function sheetsOf(rule: SupportRule, layers: number): StabilizerId[] {
  const wanted = Math.min(Math.max(layers, rule.sheets.length), rule.most ?? Infinity);
  const further = Array.from({ length: Math.max(0, wanted - rule.sheets.length) }, () => rule.further);
  return [...rule.sheets, ...further];
}

function planSupport(input: LayersInput, facts: LayerFacts) {
  const decision = decide(SUPPORT_RULES, facts);
  if (!decision) throw new Error('assertion failed: the last support rule applies to everything');
  const { layers, sum } = layerCount(facts);
  const { rule, others } = decision;
  const countSchool = schoolReason('layerCount', facts.schools.layerCount);
  const school = rule.school
    ? schoolReason(rule.school.question, rule.school.id)
    : facts.worn
      ? schoolReason('wearableBacking', facts.schools.wearableBacking)
      : countSchool;
  const capped =
    rule.most !== undefined && layers > rule.most
      ? [phrase`this stack takes ${count(rule.most)} at most; a further sheet would only stiffen it`]
      : [];
  const supportReason: Reason = {
    about: 'support',
    text: rule.reason(facts),
    arithmetic: [sum, ...capped],
    school,
  };
  return {
    sheets: input.support?.sheets ?? holdSheets(sheetsOf(rule, layers), facts),
    supportReason,
    supportOverruled: input.support !== null,
    supportWhy: input.support?.why ?? '',
    supportAlternatives: others.map((o) => ({
      sheets: holdSheets(sheetsOf(o, layers), facts),
      reason: o.reason(facts),
    })),
  };
}

function planPart(
  part: ChoicePart,
  input: LayersInput,
  facts: LayerFacts,
  sheets: readonly Sheet[],
): ChosenPart {
  const decision = decide(
    CHOICE_RULES.filter((r) => r.part === part),
    facts,
  );
  const choices = CHOICES[part];
  if (!decision) throw new Error(`assertion failed: no rule for ${part}`);
  const nothingStays = part === 'trim' && !sheets.some((s) => STABILIZERS[s.stabilizer].staysIn);
  const ruled = nothingStays ? 'none' : decision.rule.choice;
  const own = input.choices[part];
  const choice = choices[own?.choice ?? ruled] ?? choices[ruled];
  if (!choice) throw new Error(`assertion failed: unknown ${part} ${ruled}`);
  const reason = because(
    part,
    nothingStays ? phrase`Nothing under the stitches stays in.` : decision.rule.reason(facts),
  );
  return {
    part,
    choice,
    overruled: own !== undefined,
    why: own?.why ?? '',
    reason: decision.rule.school
      ? { ...reason, school: schoolReason(decision.rule.school.question, decision.rule.school.id) }
      : part === 'topper'
        ? { ...reason, school: schoolReason('topper', facts.schools.topper) }
        : reason,
    alternatives: alternativesOf(decision.others, choices, ruled, facts),
  };
}

function alternativesOf(
  others: readonly ChoiceRule[],
  choices: Record<string, Choice>,
  ruled: string,
  facts: LayerFacts,
) {
  const reasons = new Map(others.map((o) => [o.choice, o.reason(facts)]));
  return Object.values(choices)
    .filter((c) => c.id !== ruled)
    .map((choice) => ({ choice, reason: reasons.get(choice.id) ?? phrase`For ${choice.use}.` }));
}

const HOLD_WORDS: Record<Sheet['hold'], string> = {
  fused: 'fused to the cloth',
  hooped: 'hooped with the cloth',
  spray: 'held with temporary spray adhesive',
  sticky: 'sticky sheet in the hoop',
  'basting box': 'held with a basting box',
  pins: 'pinned outside the field',
  tape: 'slid underneath, taped',
};

function stackOf(sheets: readonly Sheet[], topper: Choice, facts: LayerFacts, shelf: Shelf): StackLayer[] {
  const owned = new Set(shelf.materials.filter((m) => m.metresLeft > 0).map((m) => m.type));
  const ring = clampedSheet(sheets, facts.floated);
  const top: StackLayer[] =
    topper.id === 'none'
      ? []
      : [
          {
            role: 'topper',
            name: topper.name,
            note: 'laid on top',
            clamped: false,
            onShelf: owned.has(topper.id),
          },
        ];
  return [
    ...top,
    {
      role: 'cloth',
      name: facts.fabricName,
      note: facts.floated ? 'floated' : 'hooped',
      clamped: !facts.floated,
      onShelf: true,
    },
    ...sheets.map(
      (sheet, i): StackLayer => ({
        role: 'sheet',
        name: STABILIZERS[sheet.stabilizer].name,
        note:
          facts.floated && i === ring && sheet.hold !== 'sticky'
            ? `in the hoop; ${HOLD_WORDS[sheet.hold]}`
            : HOLD_WORDS[sheet.hold],
        clamped: facts.floated ? i === ring : sheet.hold === 'hooped' || sheet.hold === 'fused',
        onShelf: owned.has(sheet.stabilizer),
      }),
    ),
  ];
}

function shelfFindings(stack: readonly StackLayer[]): Finding[] {
  return stack
    .filter((layer) => !layer.onShelf)
    .map((layer) =>
      finding('layers', 'layers-not-on-shelf', 'note', phrase`${layer.name} is not on your shelf.`),
    );
}

function holdFindings(sheets: readonly Sheet[], facts: LayerFacts): Finding[] {
  return sheets
    .filter((s) => !holdAllowed(s.hold, s.stabilizer, facts))
    .map((s) =>
      finding(
        'layers',
        'layers-hold-impossible',
        'stop',
        phrase`${STABILIZERS[s.stabilizer].name} cannot be ${HOLD_WORDS[s.hold]} here.`,
      ),
    );
}

function riskFindings(sheets: readonly Sheet[], topper: string, facts: LayerFacts): Finding[] {
  const found: Finding[] = [];
  const warn = (code: string, text: Phrase) => found.push(finding('layers', code, 'warn', text));
  if (facts.structure === 'pile' && topper === 'none')
    warn('layers-sinks', phrase`Without a topper the stitches sink into the pile.`);
  const permanent = sheets.some((s) => STABILIZERS[s.stabilizer].staysIn);
  if (facts.knit && sheets.length > 0 && !permanent && facts.schools.wearableBacking !== 'washAway')
    warn(
      'layers-knit-not-permanent',
      phrase`Nothing stays under a knit with ${percent(facts.stretchPercent)} stretch: it will sag and pucker in the wash.`,
    );
  if (facts.heavy && facts.structure === 'stable woven' && sheets.length === 1 && !permanent)
    warn(
      'layers-too-little',
      phrase`${count(facts.stitches)} stitches on one tear-away: it will be cut to pieces.`,
    );
  return found;
}

/** The whole stack with its reasons: the rules' proposal, with the maker's own choices on top, checked again. */
export function planLayers(input: LayersInput, facts: LayerFacts, shelf: Shelf): LayersPlan {
  const support = planSupport(input, facts);
  const parts = Object.fromEntries(
    CHOICE_PARTS.map((part) => [part, planPart(part, input, facts, support.sheets)]),
  ) as Record<ChoicePart, ChosenPart>;
  const topper = parts.topper.choice;
  const stack = stackOf(support.sheets, topper, facts, shelf);
  const overruled = input.support !== null || Object.keys(input.choices).length > 0;
  return {
    ...support,
    parts,
    stack,
    findings: [
      ...neverFindings(
        { sheets: support.sheets, topper: topper.id, cover: parts.cover.choice.id },
        facts,
        overruled,
      ),
      ...holdFindings(support.sheets, facts),
      ...riskFindings(support.sheets, topper.id, facts),
      ...shelfFindings(stack),
    ],
    reasons: [support.supportReason, ...CHOICE_PARTS.map((part) => parts[part].reason)],
  };
}
