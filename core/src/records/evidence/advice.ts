import { z } from 'zod';
import { count, type Phrase, PhraseSchema, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { EVIDENCE_NUMBERS as N } from '../../catalogue/numbers/evidence';
import { FAULT_IDS, FAULTS, SPOILT } from '../../model/faults';
import { type Finding, FindingSchema, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import { METHODS, type Method } from '../../model/ticket/hoop';
import { BONDS, MOST_SHEETS, type Sheet, SheetsSchema, STABILIZER_IDS } from '../../model/ticket/layers';
import { type WayApplies, WayAppliesSchema } from '../../model/way';
import type { Plan } from '../../planner/planned';
import { densityRank } from '../../stages/design/designFacts';
import { decideLayers } from '../../stages/layers/decideLayers';
import { type LayerFacts, layerFacts } from '../../stages/layers/facts';
import { breaksNever, type Stack } from '../../stages/layers/never';
import { floatsOnNothing, placeSheets, whySheetCannot } from '../../stages/layers/placing';
import { ownedTypes } from '../../stages/layers/substitutes';
import { appliesLike } from '../../stages/layers/ways';
import { meanOf, quantileOf, type Share, surelySmaller } from './beta';
import type { Chance, Taught } from './chances';
import { differencesOf, likePieces, type PieceTable } from './likeness';
import { evidenceOf } from './likeThis';
import { type PieceConditions, type PieceRecord, riskPoints } from './pieceRecord';
import { stackName } from './stackName';
import { stackWords } from './stackWords';

/** A chance as it is told: of a hundred, with the two figures between which the truth lies. */
const ChanceSchema = z.object({
  trouble: z.enum([...FAULT_IDS, 'any']),
  percent: z.number(),
  low: z.number(),
  high: z.number(),
  /** What the rules alone believe. */
  believed: z.number(),
});
export type ToldChance = z.infer<typeof ChanceSchema>;

/** What would decide between something and what is planned: so many clean pieces, so many bad ones; null where none would. */
const DecidesSchema = z.object({ clean: z.number().int().nullable(), bad: z.number().int().nullable() });
export type Decides = z.infer<typeof DecidesSchema>;
const NOTHING_TO_DECIDE: Decides = { clean: null, bad: null };

/** A stack that could be taken, and what may go wrong with it. */
const StackAdviceSchema = z.object({
  sheets: SheetsSchema,
  name: z.string(),
  planned: z.boolean(),
  /** That anything goes wrong, then the likeliest faults. */
  any: ChanceSchema,
  faults: z.array(ChanceSchema),
  /** Pieces on this cloth at this density in it, and on cloth of its kind. */
  pieces: z.number().int(),
  ofKind: z.number().int(),
  decides: DecidesSchema,
});
export type StackAdvice = z.infer<typeof StackAdviceSchema>;

const NearSchema = z.object({
  id: z.string(),
  name: z.string(),
  loggedAt: z.string(),
  pieces: z.number().int(),
  distance: z.number(),
  /** What it differs in, the weightiest first. */
  differs: z.array(z.string()),
  /** How it came out. */
  faults: z.partialRecord(z.enum(FAULT_IDS), z.number()),
});
export type NearPiece = z.infer<typeof NearSchema>;

/** Pieces that were seen, and how many of them were spoilt. */
export const SpoiltSeenSchema = z.object({ pieces: z.number().int(), spoilt: z.number().int() });
export type SpoiltSeen = z.infer<typeof SpoiltSeenSchema>;

/** How many of some pieces were lost, to whatever fault. */
export function spoiltAmong(records: readonly Pick<PieceRecord, 'pieces' | 'faults'>[]): SpoiltSeen {
  const sum = (some: typeof records) => some.reduce((n, { pieces }) => n + pieces, 0);
  return {
    pieces: sum(records),
    spoilt: sum(
      records.filter(({ faults }) => Object.values(faults).some((severity) => severity === SPOILT)),
    ),
  };
}

/** What the logbook says of a ticket. */
export const AdviceSchema = z.object({
  /** In counts; null while too few pieces are like it. */
  text: PhraseSchema.nullable(),
  near: z.array(NearSchema),
  /** Of all that are like it, how many pieces there are, and how many were spoilt. */
  spoilt: SpoiltSeenSchema,
  /** The best first; the planned one is among them. */
  stacks: z.array(StackAdviceSchema),
  /** The planned stack hooped and floated. */
  methods: z.array(
    z.object({
      method: z.enum(METHODS),
      planned: z.boolean(),
      any: ChanceSchema,
      pieces: z.number().int(),
      decides: DecidesSchema,
    }),
  ),
  /** Where the pieces speak against the planned stack: what to take, and where it would apply as a way of the shop's own. */
  against: z
    .object({
      finding: FindingSchema,
      sheets: SheetsSchema,
      applies: WayAppliesSchema,
    })
    .nullable(),
});
export type Advice = z.infer<typeof AdviceSchema>;

/** So many past pieces are looked at, and so many are listed. */
const MOST_NEAR = 60;
const MOST_LISTED = 12;
const MOST_STACKS = 6;
/** So many faults of a stack are told. */
const MOST_FAULTS = 3;

const hundredth = (share: number): number => Math.round(share * 1000) / 10;

function told({ trouble, share, believed }: Chance, rules: HouseRules): ToldChance {
  const out = (1 - numberFor(rules, N.interval) / 100) / 2;
  return {
    trouble,
    percent: hundredth(meanOf(share)),
    low: hundredth(quantileOf(share, out)),
    high: hundredth(quantileOf(share, 1 - out)),
    believed: hundredth(believed),
  };
}

const nameOf = (sheets: readonly Sheet[], topper: string): string =>
  stackName(stackWords(sheets, topper).join(' + '));

/** Sheets of the words that a stack is kept by, held as the shop holds; null where one cannot be. */
function sheetsOfWords(words: readonly string[], facts: LayerFacts): Sheet[] | null {
  const found = words
    .filter((word) => !word.endsWith(' on top'))
    .map((word) => {
      const bond = BONDS.find((one) => word.endsWith(` ${one}`)) ?? 'none';
      const id = bond === 'none' ? word : word.slice(0, -bond.length - 1);
      return { stabilizer: STABILIZER_IDS.find((one) => one === id), bond };
    });
  if (found.length > MOST_SHEETS) return null;
  const ids = found.flatMap(({ stabilizer }) => (stabilizer ? [stabilizer] : []));
  if (ids.length < found.length) return null;
  const placed = placeSheets(ids, { further: 'tear-away' }, facts);
  return placed.map((sheet, i) => ({ ...sheet, bond: found[i]?.bond ?? sheet.bond }));
}

interface Option {
  sheets: Sheet[];
  stack: Stack;
  chances: Chance[];
}
const anyOf = (chances: readonly Chance[]): Share => {
  const any = chances.find(({ trouble }) => trouble === 'any');
  if (!any) throw new Error('assertion failed: anything at all has its chance');
  return any.share;
};

/** Every stack of the shelf that could be under this piece: as planned, as the rules would have it otherwise, single sheets, and what was taken before. */
function optionsFor(
  { ticket, plan, shelf }: { ticket: Ticket; plan: Plan; shelf: Shelf },
  on: { facts: LayerFacts; conditions: PieceConditions; taught: Taught },
): Option[] {
  const { facts, conditions, taught } = on;
  const { layers } = plan;
  if (!layers) return [];
  const owned = ownedTypes(shelf);
  const tried: (Sheet[] | null)[] = [
    layers.sheets,
    ...layers.supportAlternatives.map(({ sheets }) => sheets),
    ...STABILIZER_IDS.map((id) => placeSheets([id], { further: 'tear-away' }, facts)),
    ...taught.stacksOn(conditions).map((words) => sheetsOfWords(words, facts)),
  ];
  const seen = new Set<string>();
  return tried.flatMap((sheets, i) => {
    if (!sheets) return [];
    const support = { sheets, why: 'our own pieces' };
    const { stack } = decideLayers({ support, choices: ticket.layers.choices }, facts);
    const words = stackWords(sheets, stack.topper);
    const key = [...words].sort().join();
    if (seen.has(key)) return [];
    const mayBe =
      sheets.every(({ stabilizer }) => owned.has(stabilizer)) &&
      sheets.every((sheet) => whySheetCannot(sheet, facts) === null) &&
      !floatsOnNothing(sheets, facts) &&
      !breaksNever(stack, facts);
    if (i > 0 && !mayBe) return [];
    seen.add(key);
    const chances = taught.chancesOf({ ...conditions, stack: words }, riskPoints(facts, stack));
    return [{ sheets, stack, chances }];
  });
}

/** So many pieces are tried at most before it is said that no number would decide. */
const MOST_TRIED = 12;

/** How many pieces in a row would make it sure enough that one stack is better than another, or worse; null where too many. */
function decidingPieces(of: Share, than: Share, rules: HouseRules): Decides {
  const sure = numberFor(rules, N.contradicts) / 100;
  const first = (isSure: (n: number) => boolean): number | null => {
    for (let n = 1; n <= MOST_TRIED; n += 1) if (isSure(n)) return n;
    return null;
  };
  return {
    clean: first((n) => surelySmaller({ a: of.a, b: of.b + n }, than) >= sure),
    bad: first((n) => surelySmaller(than, { a: of.a + n, b: of.b }) >= sure),
  };
}

function adviceOn(
  { sheets, stack, chances }: Option,
  { planned, rules, than }: { planned: boolean; rules: HouseRules; than: Share },
): StackAdvice {
  const byMean = [...chances].sort((a, b) => meanOf(b.share) - meanOf(a.share));
  const any = chances.find(({ trouble }) => trouble === 'any');
  const faults = byMean.filter(({ trouble }) => trouble !== 'any').slice(0, MOST_FAULTS);
  const [of] = chances;
  if (!any || !of) throw new Error('assertion failed: every stack has its chances');
  return {
    sheets,
    name: nameOf(sheets, stack.topper),
    planned,
    any: told(any, rules),
    faults: faults.map((chance) => told(chance, rules)),
    pieces: of.pieces,
    ofKind: of.ofKind,
    decides: planned ? NOTHING_TO_DECIDE : decidingPieces(any.share, than, rules),
  };
}

const faultName = (trouble: string): string =>
  (FAULTS.find(({ id }) => id === trouble)?.name ?? 'something').toLowerCase();

/** How much oftener a fault is seen with one stack than with another; the fault that differs most. */
function whatDiffers(planned: Option, other: Option): string {
  const meanIn = ({ chances }: Option, trouble: string) =>
    meanOf(chances.find((c) => c.trouble === trouble)?.share ?? { a: 1, b: 1 });
  const [worst] = [...FAULT_IDS].sort(
    (a, b) => meanIn(planned, b) - meanIn(other, b) - (meanIn(planned, a) - meanIn(other, a)),
  );
  return faultName(worst ?? '');
}

/** Says that pieces of one's own speak against the planned stack, where they do so surely enough and by enough. */
function contradiction(
  [planned, ...others]: readonly Option[],
  { facts, rules, byRule }: { facts: LayerFacts; rules: HouseRules; byRule: boolean },
): { finding: Finding; sheets: Sheet[]; applies: WayApplies } | null {
  if (!planned) return null;
  const least = numberFor(rules, N.evidenceLeast);
  const enough = ({ chances }: Option): boolean => (chances[0]?.ofKind ?? 0) >= least;
  if (!enough(planned)) return null;
  const before = anyOf(planned.chances);
  const better = others
    .filter(enough)
    .sort((a, b) => meanOf(anyOf(a.chances)) - meanOf(anyOf(b.chances)))
    .find(
      (other) =>
        meanOf(before) - meanOf(anyOf(other.chances)) >= numberFor(rules, N.worthTelling) / 100 &&
        surelySmaller(anyOf(other.chances), before) >= numberFor(rules, N.contradicts) / 100,
    );
  if (!better) return null;
  const said = (option: Option): Phrase => {
    const of = option.chances[0];
    return phrase`${nameOf(option.sheets, option.stack.topper)} goes wrong in ${percent(Math.round(100 * meanOf(anyOf(option.chances))))} of pieces (${count(of?.ofKind ?? 0)} on cloth like this)`;
  };
  const text = phrase`Our own pieces speak against ${byRule ? 'the rule' : 'this stack'}: ${said(planned)}, ${said(better)}; most of it ${whatDiffers(planned, better)}.`;
  const why = 'our own pieces come out better so';
  return {
    sheets: better.sheets,
    applies: appliesLike(facts),
    finding: finding('layers', 'layers-evidence-against', 'warn', text, {
      mends: [
        {
          label: phrase`Take ${nameOf(better.sheets, better.stack.topper)} for this one`,
          result: phrase`something goes wrong in ${percent(Math.round(100 * meanOf(anyOf(better.chances))))} instead of ${percent(Math.round(100 * meanOf(before)))}`,
          change: { stage: 'layers', set: { support: { sheets: better.sheets, why } } },
        },
      ],
    }),
  };
}

/** The cloth, design, method and stack of a plan, as pieces are likened; null while it has no layers. */
export function conditionsOf(ticket: Ticket, { piece, design, hoop, layers }: Plan): PieceConditions | null {
  const { facts } = design;
  if (!facts || !hoop || !layers) return null;
  const { fabric } = piece;
  return {
    fabricId: ticket.piece.fabricId || fabric.id,
    structure: fabric.structure,
    stretchPercent: fabric.stretchPercent,
    pileMm: fabric.pileMm,
    rank: densityRank(facts.densityClass),
    sizeMm: Math.max(facts.widthMm, facts.heightMm),
    method: hoop.method,
    stack: stackWords(layers.sheets, layers.parts.topper.choice.id),
  };
}

/** Of the pieces like a ticket's, how many there are and how many were lost; none of one that has no layers yet. */
export function spoiltLike(
  { ticket, plan, rules }: { ticket: Ticket; plan: Plan; rules: HouseRules },
  pieces: PieceTable,
): SpoiltSeen {
  const conditions = conditionsOf(ticket, plan);
  if (!conditions) return { pieces: 0, spoilt: 0 };
  return spoiltAmong(likePieces(conditions, pieces, { rules, most: MOST_NEAR }).map(({ record }) => record));
}

/**
 * What a logbook says of a ticket: the pieces like it and how they came out, what may go wrong with every stack of the
 * shelf, hooped and floated, and whether that speaks against what is planned. Null while the ticket has no layers. Chances
 * are percent. What must never be is not advised, however it came out.
 */
export function adviceFor(
  { ticket, plan, shelf, rules }: { ticket: Ticket; plan: Plan; shelf: Shelf; rules: HouseRules },
  { pieces, taught }: { pieces: PieceTable; taught: Taught },
): Advice | null {
  const conditions = conditionsOf(ticket, plan);
  const { layers, hoop, design, piece } = plan;
  if (!conditions || !layers || !hoop || !design.facts) return null;
  const facts = layerFacts(piece, design.facts, hoop, rules);
  const near = likePieces(conditions, pieces, { rules, most: MOST_NEAR });
  const options = optionsFor({ ticket, plan, shelf }, { facts, conditions, taught });
  const byRule = !layers.supportOverruled;
  const against = contradiction(options, { facts, rules, byRule });
  const [first] = options;
  const than = first ? anyOf(first.chances) : { a: 1, b: 1 };
  const byChance = options
    .map((option, i) => ({ option, planned: i === 0, chance: meanOf(anyOf(option.chances)) }))
    .sort((a, b) => a.chance - b.chance)
    .filter(({ planned }, i) => i < MOST_STACKS || planned);
  return {
    text: evidenceOf(conditions, near, rules)?.text ?? null,
    near: near.slice(0, MOST_LISTED).map(({ record, distance }) => ({
      id: record.id,
      name: record.name,
      loggedAt: record.loggedAt,
      pieces: record.pieces,
      distance,
      differs: differencesOf(conditions, record, rules),
      faults: record.faults,
    })),
    spoilt: spoiltAmong(near.map(({ record }) => record)),
    stacks: byChance.map(({ option, planned }) => adviceOn(option, { planned, rules, than })),
    methods: METHODS.map((method) => methodAdvice(method, { ticket, plan, rules, conditions, taught, than })),
    against,
  };
}

/** What may go wrong hooped or floated, with the sheets that are planned. */
function methodAdvice(
  method: Method,
  on: {
    ticket: Ticket;
    plan: Plan;
    rules: HouseRules;
    conditions: PieceConditions;
    taught: Taught;
    than: Share;
  },
): Advice['methods'][number] {
  const { ticket, plan, rules, conditions, taught, than } = on;
  const { piece, design, hoop, layers } = plan;
  if (!design.facts || !hoop || !layers) throw new Error('assertion failed: a plan with layers is whole');
  const facts = layerFacts(piece, design.facts, { method, laid: hoop.laid }, rules);
  const { stack } = decideLayers(
    { support: { sheets: layers.sheets, why: '' }, choices: ticket.layers.choices },
    facts,
  );
  const chances = taught.chancesOf({ ...conditions, method }, riskPoints(facts, stack));
  const any = chances.find(({ trouble }) => trouble === 'any');
  if (!any) throw new Error('assertion failed: anything at all has its chance');
  const planned = method === hoop.method;
  return {
    method,
    planned,
    any: told(any, rules),
    pieces: any.ofKind,
    decides: planned ? NOTHING_TO_DECIDE : decidingPieces(any.share, than, rules),
  };
}
