import { z } from 'zod';
import { RISKS, type Risk } from '../../catalogue/riskWeights';
import type { FaultId } from '../../model/faults';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { LogEntry, LogSummary } from '../../model/logEntry';
import { piecesOf } from '../../model/pieces';
import type { Method } from '../../model/ticket/hoop';
import type { ChoicePart } from '../../model/ticket/layers';
import { worstFault } from '../../model/ticket/log';
import { type Fabric, FabricSchema } from '../../model/ticket/piece';
import { densityClassOf, densityRank } from '../../stages/design/designFacts';
import { type LayeredDesign, type LayerFacts, layerFacts } from '../../stages/layers/facts';
import { sheetsOfToday } from '../../stages/layers/keptSheets';
import type { Stack } from '../../stages/layers/never';
import { risksOf } from '../../stages/layers/risk';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import { fabricOf } from '../../stages/piece/planPiece';
import { stackWords } from './stackWords';

/** What a piece can be likened by. */
export interface PieceConditions {
  fabricId: string;
  structure: Fabric['structure'];
  stretchPercent: number;
  pileMm: number;
  /** How dense its design is: 0 open to 4 very heavy. */
  rank: number;
  /** The larger side of its design, mm. */
  sizeMm: number;
  method: LogSummary['method'];
  /** Its sheets and what lies on top, each as one word. */
  stack: string[];
}

/** What is learned from of finished pieces that came out alike: their cloth, design, how they were held, what went wrong. */
export interface PieceRecord extends PieceConditions {
  /** Of the entry it stands in. */
  id: string;
  loggedAt: string;
  name: string;
  /** How many pieces it stands for. */
  pieces: number;
  /** Who made it; empty where nobody said. */
  who: string;
  /** The severity of each fault that was seen, 1 to 3. */
  faults: Partial<Record<FaultId, number>>;
  /** What the rules hold of it, points of 100. */
  risks: RiskPoints;
}

/** The points of every risk, of 100. */
export type RiskPoints = Record<Risk, number>;

export const riskPoints = (facts: LayerFacts, stack: Stack): RiskPoints =>
  Object.fromEntries(risksOf(facts, stack).map(({ risk, points }) => [risk, points])) as RiskPoints;
export const NO_RISK = Object.fromEntries(RISKS.map((risk) => [risk, 0])) as RiskPoints;

const seen = (faults: LogEntry['log']['faults']): PieceRecord['faults'] =>
  Object.fromEntries(Object.entries(faults).filter(([, severity]) => (severity ?? 0) > 0));

/** What a kept plan says of its design, as far as an older planner kept it. */
const KeptDesignSchema = z.looseObject({
  stops: z.array(z.looseObject({ hex: z.string() })).catch([]),
  lettering: z.boolean().catch(false),
  letterHeightMm: z.number().nullable().catch(null),
});
const KeptPieceSchema = z.looseObject({
  fabric: FabricSchema.optional().catch(undefined),
  readings: z.record(z.string(), z.number()).catch({}),
});

/** The sheets and choices of an entry as they were used; what was not said was as planned. */
function usedStack(
  { plan, log }: Pick<LogEntry, 'plan' | 'log'>,
  method: Method,
): (Stack & { needle: string }) | null {
  const { layers } = plan;
  if (!layers) return null;
  const idOf = (part: ChoicePart): string => {
    const chosen = (layers.parts as Record<string, { choice: { id: string } } | undefined>)[part];
    return chosen?.choice.id ?? 'none';
  };
  return {
    sheets: log.used.sheets ?? sheetsOfToday(layers.sheets, method),
    topper: log.used.topper ?? idOf('topper'),
    cover: idOf('cover'),
    trim: idOf('trim'),
    needle: log.used.needle ?? idOf('needle'),
  };
}

/** The cloth of an entry as it was then; where that was not kept, as the library has it. */
export const keptFabric = ({ ticket, plan }: Pick<LogEntry, 'ticket' | 'plan'>): Fabric =>
  KeptPieceSchema.parse(plan.piece ?? {}).fabric ?? fabricOf(ticket.piece);

/** One entry as it was made: its conditions, what the rules hold of it, and its needle. */
export interface AsMade {
  conditions: PieceConditions;
  risks: RiskPoints;
  needle: string;
}

/**
 * What an entry was made with, mm: what was really used goes before what was planned. Null where its plan has no design
 * or no layers that can be read: nothing is learned from half a piece.
 */
export function asMade(
  { ticket, plan, log }: Pick<LogEntry, 'ticket' | 'plan' | 'log'>,
  rules: HouseRules = DEFAULT_HOUSE_RULES,
): AsMade | null {
  const facts = plan.design?.facts;
  const method = log.used.method ?? plan.hoop?.method ?? 'hooped';
  const held: Method = method === 'partly' ? (plan.hoop?.method ?? 'hooped') : method;
  const stack = usedStack({ plan, log }, held);
  if (!facts || !stack) return null;
  const fabric = keptFabric({ ticket, plan });
  const { readings } = KeptPieceSchema.parse(plan.piece ?? {});
  const { widthMm, heightMm, stitches } = facts;
  const densityClass = densityClassOf(stitches / Math.max(0.01, (widthMm * heightMm) / 100));
  const design: LayeredDesign = { ...KeptDesignSchema.parse(facts), stitches, densityClass };
  const kind = PIECE_KINDS[ticket.piece.kind];
  const of = { fabric, kind, colour: ticket.piece.colour, readings };
  return {
    conditions: {
      fabricId: ticket.piece.fabricId || fabric.id,
      structure: fabric.structure,
      stretchPercent: fabric.stretchPercent,
      pileMm: fabric.pileMm,
      rank: densityRank(densityClass),
      sizeMm: Math.max(widthMm, heightMm),
      method,
      stack: stackWords(stack.sheets, stack.topper),
    },
    risks: riskPoints(layerFacts(of, design, { method: held }, rules), stack),
    needle: stack.needle,
  };
}

/**
 * What is learned from of an entry: its pieces, as they came out. Those of a run that came out alike are one record; none
 * where nothing can be learned from it.
 */
export function recordsOf(entry: LogEntry, rules?: HouseRules): PieceRecord[] {
  const made = asMade(entry, rules);
  if (!made) return [];
  const { ticket, log } = entry;
  const of = {
    ...made.conditions,
    id: entry.id,
    loggedAt: entry.loggedAt,
    name: ticket.name,
    who: log.by.trim(),
    risks: made.risks,
  };
  return resultsOf(entry).map((result) => ({ ...of, ...result }));
}

/** How the pieces of an entry came out: most as its report says, some otherwise. */
export function resultsOf({
  ticket,
  log,
}: Pick<LogEntry, 'ticket' | 'log'>): Pick<PieceRecord, 'pieces' | 'faults'>[] {
  const clean = log.others.filter((one) => worstFault(one) === 0).length;
  const bad = log.others.filter((one) => worstFault(one) > 0);
  const alike = piecesOf(ticket) - log.others.length;
  return [
    { pieces: alike, faults: seen(log.faults) },
    { pieces: clean, faults: {} },
    ...bad.map(({ faults }) => ({ pieces: 1, faults: seen(faults) })),
  ].filter(({ pieces }) => pieces > 0);
}
