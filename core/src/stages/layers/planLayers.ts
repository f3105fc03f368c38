import { count, type Phrase, percent, phrase } from '../../base/units/phrase';
import { CHOICES, type Choice, heldInWords, STABILIZERS } from '../../catalogue/materials';
import { schoolReason } from '../../catalogue/schools';
import { type Finding, finding, type Mend } from '../../model/finding';
import { because, type Reason } from '../../model/reason';
import type { Shelf } from '../../model/shelf';
import { CHOICE_PARTS, type ChoicePart, type LayersInput, type Sheet } from '../../model/ticket/layers';
import type { WayApplies } from '../../model/way';
import {
  decideLayers,
  type LayersDecision,
  MORE_LAYERS,
  type PartDecision,
  sheetsByRule,
} from './decideLayers';
import type { LayerFacts } from './facts';
import { gaveWay, refusedWays } from './gaveWay';
import { inPlaceOfFindings } from './inPlaceOf';
import { neverFindings, type Stack } from './never';
import { floatsOnNothing, heldHere, holdsPiece, isFastenedBy, placeSheets, whySheetCannot } from './placing';
import { type RiskBar, risksOf } from './risk';
import type { ChoiceRule } from './rule';
import { ownedTypes, substituteFor } from './substitutes';
import { supplyFindings } from './supplyFindings';
import { isSnugged, tensionFor } from './tension';
import { appliesLike, wayReason } from './ways';

export interface ChosenPart {
  part: ChoicePart;
  choice: Choice;
  overruled: boolean;
  why: string;
  /** The rule that decided it, by its id. */
  rule: string;
  reason: Reason;
  alternatives: { choice: Choice; reason: Phrase }[];
}

/** One layer of the cross-section, from the top. */
export interface StackLayer {
  role: 'topper' | 'cloth' | 'sheet';
  name: string;
  note: string;
  /** The sheet and how it is held; null for cloth and topper. */
  sheet: Sheet | null;
  /** Held in the ring. */
  clamped: boolean;
  onShelf: boolean;
}

export interface LayersPlan {
  sheets: Sheet[];
  /** The rule or the shop's own way that decided the support, by its id. */
  supportRule: string;
  supportReason: Reason;
  supportOverruled: boolean;
  supportWhy: string;
  supportAlternatives: { sheets: Sheet[]; reason: Phrase }[];
  parts: Record<ChoicePart, ChosenPart>;
  stack: StackLayer[];
  /** Where a stack like this one would apply, to keep it as a way of the shop's own. */
  likeThis: WayApplies;
  /** The cloth and a sheet are one before the ring closes. */
  bonded: boolean;
  /** How taut what is in the ring should be, and whether a knit is smoothed once more after closing. */
  tension: Phrase;
  snugged: boolean;
  /** How far outside the design a basting box is stitched, mm; null where nothing is basted. */
  bastingMm: number | null;
  /** What holds the topper down: the basting box, or pins or tape at its edges, outside the field; null without one. */
  topperHeldBy: 'basting box' | 'pins' | 'tape' | null;
  /** What may go wrong with it, and how much. */
  risks: RiskBar[];
  findings: Finding[];
  reasons: Reason[];
}

/** How many layers the design asks for, as a sum. */
function layersSum(facts: LayerFacts, layers: number): Phrase {
  const parts: Phrase[] = [phrase`1`];
  if (MORE_LAYERS.heavy(facts)) parts.push(phrase`1 (${facts.densityName})`);
  if (MORE_LAYERS.many(facts)) parts.push(phrase`1 (${count(facts.stitches)} stitches)`);
  if (MORE_LAYERS.stretchy(facts)) parts.push(phrase`1 (${percent(facts.stretchPercent)} stretch)`);
  const sum = parts.flatMap((part, i) => (i === 0 ? part : [' + ', ...part]));
  const asked = parts.length === 1 ? sum : phrase`${sum} = ${count(parts.length)}`;
  if (layers > parts.length)
    return phrase`${asked}; this shop takes two at least, on any cloth: ${count(layers)}`;
  return layers < parts.length ? phrase`${asked}; at most ${count(layers)}` : asked;
}

function supportSchool({ rule }: LayersDecision['support'], facts: LayerFacts) {
  if (rule.school) return schoolReason(rule.school.question, rule.school.id);
  return facts.worn
    ? schoolReason('wearableBacking', facts.schools.wearableBacking)
    : schoolReason('layerCount', facts.schools.layerCount);
}

function explainSupport(input: LayersInput, facts: LayerFacts, decided: LayersDecision) {
  const { support, way, layers, sheets } = decided;
  const { rule, others } = support;
  const capped =
    rule.most !== undefined && layers > rule.most
      ? [phrase`this stack takes ${count(rule.most)} at most; a further sheet would only stiffen it`]
      : [];
  const supportReason: Reason = way
    ? { ...because('support', wayReason(way)), gaveWay: gaveWay(support, facts) }
    : {
        about: 'support',
        text: rule.reason(facts),
        arithmetic: [layersSum(facts, layers), ...capped],
        school: supportSchool(support, facts),
        gaveWay: [...refusedWays(decided.waysRefused), ...gaveWay(support, facts)],
      };
  const alternatives = way ? [rule, ...others] : others;
  return {
    sheets,
    supportRule: way?.id ?? rule.id,
    supportReason,
    supportOverruled: input.support !== null,
    supportWhy: input.support?.why ?? '',
    supportAlternatives: alternatives.map((o) => ({
      sheets: sheetsByRule(o, layers, facts),
      reason: o.reason(facts),
    })),
  };
}

function explainPart(
  part: ChoicePart,
  input: LayersInput,
  facts: LayerFacts,
  { choice, ruled, decision, way, nothingStays }: PartDecision,
): ChosenPart {
  const own = input.choices[part];
  const { rule, others } = decision;
  const reason: Reason = nothingStays
    ? because(part, phrase`Nothing under the stitches stays in.`)
    : way
      ? because(part, wayReason(way))
      : { ...because(part, rule.reason(facts)), gaveWay: gaveWay(decision, facts) };
  return {
    part,
    choice,
    overruled: own !== undefined,
    why: own?.why ?? '',
    rule: way?.id ?? rule.id,
    reason: way
      ? reason
      : rule.school
        ? { ...reason, school: schoolReason(rule.school.question, rule.school.id) }
        : part === 'topper'
          ? { ...reason, school: schoolReason('topper', facts.schools.topper) }
          : reason,
    alternatives: alternativesOf(others, CHOICES[part], ruled, facts),
  };
}

const uses = new Map<Choice, Phrase>();

/** What a choice is for, in a phrase put together once. */
function useOf(choice: Choice): Phrase {
  const text = uses.get(choice) ?? phrase`For ${choice.use}.`;
  uses.set(choice, text);
  return text;
}

function alternativesOf(
  others: readonly ChoiceRule[],
  choices: Record<string, Choice>,
  ruled: string,
  facts: LayerFacts,
) {
  const reasons = new Map<string, Phrase>(others.map((o) => [o.choice, o.reason(facts)]));
  return Object.values(choices)
    .filter((c) => c.id !== ruled)
    .map((choice) => ({ choice, reason: reasons.get(choice.id) ?? useOf(choice) }));
}

function stackOf(sheets: readonly Sheet[], topper: Choice, facts: LayerFacts, shelf: Shelf): StackLayer[] {
  const owned = ownedTypes(shelf);
  const top: StackLayer[] =
    topper.id === 'none'
      ? []
      : [
          {
            role: 'topper',
            name: topper.name,
            note: 'laid on top',
            sheet: null,
            clamped: false,
            onShelf: owned.has(topper.id),
          },
        ];
  return [
    ...top,
    ...(facts.structure === 'no cloth'
      ? []
      : [
          {
            role: 'cloth' as const,
            name: facts.fabricName,
            note: facts.floated ? 'floated' : 'hooped',
            sheet: null,
            clamped: !facts.floated,
            onShelf: true,
          },
        ]),
    ...sheets.map(
      (sheet): StackLayer => ({
        role: 'sheet',
        name: STABILIZERS[sheet.stabilizer].name,
        note: heldInWords(sheet),
        sheet,
        clamped: sheet.where === 'in the ring',
        onShelf: owned.has(sheet.stabilizer),
      }),
    ),
  ];
}

function shelfFindings(
  stack: readonly StackLayer[],
  whole: Stack,
  on: { facts: LayerFacts; shelf: Shelf },
): Finding[] {
  const missing = stack.filter((layer) => !layer.onShelf);
  return missing.map((layer) => {
    const mend = layer.sheet && substituteFor(layer.sheet.stabilizer, whole, on);
    return finding(
      'layers',
      'layers-not-on-shelf',
      'note',
      phrase`${layer.name} is not on your shelf: it is on the shopping list.`,
      { mends: mend ? [mend] : [] },
    );
  });
}

/** A sheet in the ring for a floated piece to lie on: the first that can, or one more. */
function carrierMend(sheets: readonly Sheet[], facts: LayerFacts): Mend {
  const held = placeSheets(
    sheets.map((s) => s.stabilizer),
    { further: 'tear-away' },
    facts,
  );
  return {
    label: phrase`Put a sheet in the ring`,
    result: phrase`the piece lies on ${held.flatMap((s) => (s.where === 'in the ring' ? [STABILIZERS[s.stabilizer].name] : [])).join(' and ')}`,
    change: { stage: 'layers', set: { support: { sheets: held, why: 'a floated piece lies on something' } } },
  };
}

/** A floated piece on a bare sheet: it is held once that sheet is fastened. */
function unheld(sheets: readonly Sheet[], facts: LayerFacts): Finding[] {
  if (holdsPiece(sheets, facts)) return [];
  const held = heldHere(sheets, facts);
  const by = held.find(({ where }) => where === 'in the ring')?.fastening ?? 'tape';
  const mend: Mend = {
    label: phrase`Fasten it: ${by}`,
    result: phrase`the piece stays where it lies`,
    change: {
      stage: 'layers',
      set: { support: { sheets: held, why: 'a floated piece is held by something' } },
    },
  };
  const text = phrase`Floated on a bare sheet: nothing holds the piece.`;
  return [finding('layers', 'layers-nothing-holds', 'stop', text, { mends: [mend] })];
}

/** Sheets that cannot be held as they are, and a floated piece that lies on nothing. */
function holdFindings(sheets: readonly Sheet[], facts: LayerFacts): Finding[] {
  const held = heldHere(sheets, facts);
  const taped: Mend[] = held.every((sheet) => whySheetCannot(sheet, facts) === null)
    ? [
        {
          label: phrase`Fasten it with tape`,
          result: phrase`no holes, and nothing outside the field is stitched`,
          change: { stage: 'layers', set: { support: { sheets: held, why: 'taped: no holes' } } },
        },
      ]
    : [];
  const impossible = sheets.flatMap((sheet) => {
    const why = whySheetCannot(sheet, facts);
    return why ? [finding('layers', 'layers-hold-impossible', 'stop', why, { mends: taped })] : [];
  });
  if (!floatsOnNothing(sheets, facts)) return [...impossible, ...unheld(sheets, facts)];
  const text = phrase`Floated, and no sheet is in the ring: it would lie on nothing.`;
  const carrier = { mends: [carrierMend(sheets, facts)] };
  return [...impossible, finding('layers', 'layers-floats-on-nothing', 'stop', text, carrier)];
}

const slipUnder = (): Mend => ({
  label: phrase`Slip a sheet under the ring`,
  result: phrase`the ring closes on the cloth alone, the sheet carries the stitches`,
  change: {
    stage: 'layers',
    set: {
      support: {
        sheets: [{ stabilizer: 'tear-away', where: 'under the ring', bond: 'none', fastening: 'tape' }],
        why: 'the ring closes on the cloth alone',
      },
    },
  },
});

function riskFindings(sheets: readonly Sheet[], topper: string, facts: LayerFacts): Finding[] {
  const found: Finding[] = [];
  const warn = (code: string, text: Phrase) => found.push(finding('layers', code, 'warn', text));
  // What is stretched over a filling does not hang.
  if (facts.drapes && !facts.satOn && facts.rank >= 2)
    found.push(
      finding(
        'layers',
        'layers-drape-dense',
        facts.rank >= 3 ? 'stop' : 'warn',
        phrase`${facts.fabricName} drapes; a ${facts.densityName} design hangs in it like a board. Take a light one.`,
      ),
    );
  if (facts.structure === 'canvas' && facts.heavy && sheets.length === 0)
    found.push(
      finding(
        'layers',
        'layers-heavy-on-nothing',
        'warn',
        phrase`${count(facts.stitches)} stitches on canvas alone: it can pucker and pull out of square.`,
        { mends: [slipUnder()] },
      ),
    );
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

/** The basting box of a stack, and what holds the topper down. */
function topperHeld(
  topper: Choice,
  sheets: readonly Sheet[],
  facts: LayerFacts,
): Pick<LayersPlan, 'bastingMm' | 'topperHeldBy'> {
  const bastingMm = isFastenedBy(sheets, 'basting box') ? facts.bastingMm : null;
  if (topper.id === 'none') return { bastingMm, topperHeldBy: null };
  return {
    bastingMm,
    topperHeldBy: bastingMm === null || facts.appliqued ? (facts.holesStay ? 'tape' : 'pins') : 'basting box',
  };
}

/** The whole stack with its reasons: the rules' proposal, with the maker's own choices on top, checked again. */
export function planLayers(input: LayersInput, facts: LayerFacts, shelf: Shelf): LayersPlan {
  const decided = decideLayers(input, facts);
  const support = explainSupport(input, facts, decided);
  const parts = Object.fromEntries(
    CHOICE_PARTS.map((part) => [part, explainPart(part, input, facts, decided.parts[part])]),
  ) as Record<ChoicePart, ChosenPart>;
  const topper = parts.topper.choice;
  const stack = stackOf(support.sheets, topper, facts, shelf);
  const { stack: whole } = decided;
  const bonded = support.sheets.some((s) => s.bond !== 'none');
  const tension = tensionFor(facts, bonded);
  return {
    ...support,
    parts,
    stack,
    likeThis: appliesLike(facts),
    bonded,
    tension: tension.text,
    snugged: isSnugged(facts),
    ...topperHeld(topper, support.sheets, facts),
    risks: risksOf(facts, whole),
    findings: [
      ...neverFindings(whole, facts, input),
      ...holdFindings(support.sheets, facts),
      ...riskFindings(support.sheets, topper.id, facts),
      ...inPlaceOfFindings(decided.parts),
      ...shelfFindings(stack, whole, { facts, shelf }),
      ...supplyFindings(
        input,
        whole,
        { needle: parts.needle.choice, bobbin: parts.bobbin.choice, thread: parts.thread.choice },
        { facts, shelf },
      ),
    ],
    reasons: [tension, support.supportReason, ...CHOICE_PARTS.map((part) => parts[part].reason)],
  };
}
