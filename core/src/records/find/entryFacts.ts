import { z } from 'zod';
import { NEEDLES, STABILIZERS } from '../../catalogue/materials';
import { RISKS } from '../../catalogue/riskWeights';
import type { HouseRules } from '../../model/houseRules';
import { type LogEntry, type LogSummary, summaryOf } from '../../model/logEntry';
import { type LogInput, offBy } from '../../model/ticket/log';
import type { Fabric } from '../../model/ticket/piece';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import { asMade, keptFabric, type PieceRecord, type RiskPoints, resultsOf } from '../evidence/pieceRecord';
import { stackWord } from '../evidence/stackWords';
import { minutesOf } from '../logbook/ticked';

/** Counted up whenever the facts of an entry are told otherwise, so that kept ones are told anew. */
export const FACTS_VERSION = 1;

interface Cloth {
  structure: Fabric['structure'];
  stretchPercent: number;
  pileMm: number;
  sizeMm: number;
}

/** What is learned from of an entry besides what it is found by. */
export interface LearnedFacts extends Cloth {
  /** Points of each risk, in the order of `RISKS`. */
  risks: number[];
  /** How many pieces came out how. */
  results: Pick<PieceRecord, 'pieces' | 'faults'>[];
  /** The placement it lay at, by its name; empty where that was not kept. */
  placement: string;
  /** Where each piece that was measured lies against its marks, right and down, mm, and how far turned. */
  off: { right: number; down: number; turnDeg: number | null }[];
  /** Minutes of each stage, as they were. */
  minutes: LogInput['minutes'];
  /** Figures that were worked out, and what they were by the machine. */
  figures: { figure: FittedFigure; planned: number; was: number }[];
  /** Hours that the oldest needle of the machine had before; null where no machine was kept. */
  needleHours: number | null;
}

/** What an entry is found by, and learned from. */
export interface EntryFacts
  extends Pick<
    LogSummary,
    'id' | 'loggedAt' | 'name' | 'customer' | 'kind' | 'fabricId' | 'method' | 'outcome'
  > {
  who: string;
  /** How dense its design is, 0 open to 4 very heavy; null where it was not kept. */
  rank: number | null;
  /** Its sheets and topper as one text; null where they were not kept. */
  stack: string | null;
  needle: string | null;
  learned: LearnedFacts | null;
}

/** What is worked out and can be measured. */
export const FITTED_FIGURES = ['stitch minutes', 'stitches', 'top thread', 'bobbin thread'] as const;
export type FittedFigure = (typeof FITTED_FIGURES)[number];

const KeptPlacementSchema = z.looseObject({ placement: z.looseObject({ name: z.string() }) });
const KeptTotalsSchema = z.looseObject({
  totalMinutes: z.number(),
  topM: z.number(),
  bobbinNeededM: z.number(),
  stitchings: z.number().min(1).catch(1),
});
const KeptMachineSchema = z.looseObject({
  machine: z.looseObject({ fitted: z.array(z.looseObject({ hours: z.number() })).min(1) }),
});

/** What was measured of an entry, beside what was worked out of it. */
function measuredOf({ plan, log }: LogEntry): Omit<LearnedFacts, keyof Cloth | 'risks' | 'results'> {
  const widthMm = plan.design?.facts?.widthMm ?? 0;
  const off = [log, ...log.others].flatMap((one) => {
    const { right, down } = one.off;
    if (right === null && down === null) return [];
    return [{ right: right ?? 0, down: down ?? 0, turnDeg: offBy(one, widthMm).turnDeg }];
  });
  const totals = KeptTotalsSchema.safeParse(plan.stitch).data;
  const minutes = minutesOf(log);
  const each = totals?.stitchings ?? 1;
  const pairs: [FittedFigure, number | undefined, number | null | undefined][] = [
    ['stitch minutes', totals?.totalMinutes, minutes.stitch],
    ['stitches', plan.design?.facts?.stitches, log.counted.stitches],
    ['top thread', totals && totals.topM / each, log.counted.topM],
    ['bobbin thread', totals && totals.bobbinNeededM / each, log.counted.bobbinM],
  ];
  const fitted = KeptMachineSchema.safeParse(plan.mount).data?.machine.fitted;
  return {
    placement: KeptPlacementSchema.safeParse(plan.place).data?.placement.name ?? '',
    off,
    minutes,
    figures: pairs.flatMap(([figure, planned, was]) =>
      planned !== undefined && planned > 0 && typeof was === 'number' && was > 0
        ? [{ figure, planned, was }]
        : [],
    ),
    needleHours: fitted ? Math.max(...fitted.map(({ hours }) => hours)) : null,
  };
}

/** The facts of an entry, as it was really made. */
export function entryFactsOf(entry: LogEntry, rules?: HouseRules): EntryFacts {
  const { id, loggedAt, name, customer, kind, fabricId, method, outcome } = summaryOf(entry);
  const made = asMade(entry, rules);
  const found = { id, loggedAt, name, customer, kind, fabricId, method, outcome, who: entry.log.by.trim() };
  if (!made) return { ...found, rank: null, stack: null, needle: null, learned: null };
  const { conditions, risks, needle } = made;
  const { structure, stretchPercent, pileMm, sizeMm, rank, stack } = conditions;
  return {
    ...found,
    rank,
    stack: stackWord(stack),
    needle,
    learned: {
      structure,
      stretchPercent,
      pileMm,
      sizeMm,
      risks: RISKS.map((risk) => Math.round(risks[risk])),
      results: resultsOf(entry),
      ...measuredOf(entry),
    },
  };
}

const nameIn = (names: Record<string, { name: string }>, id: string): string => names[id]?.name ?? '';

/** All words of an entry that a search finds it by. */
export function wordsOf({ ticket, plan, log }: LogEntry): string {
  const { piece, design } = ticket;
  const threads = (plan.stitch?.stops ?? []).flatMap(({ name, thread }) => [name, thread?.name ?? '']);
  const sheets = (log.used.sheets ?? plan.layers?.sheets ?? []).map(({ stabilizer }) =>
    nameIn(STABILIZERS, stabilizer),
  );
  const words = [
    ticket.name,
    ticket.customer,
    log.note,
    log.nextTime,
    ...log.others.map((other) => other.note),
    log.by,
    PIECE_KINDS[piece.kind].name,
    keptFabric({ ticket, plan }).name,
    plan.hoop?.laid?.verdict.hoop.name ?? '',
    ...(design.names?.rows ?? []).map(({ text }) => text),
    ...sheets,
    log.used.needle ? nameIn(NEEDLES, log.used.needle) : '',
    ...threads,
  ];
  return [...new Set(words.map((word) => String(word).trim()).filter((word) => word !== ''))].join('\n');
}

const pointsOf = (points: readonly number[]): RiskPoints =>
  Object.fromEntries(RISKS.map((risk, i) => [risk, points[i] ?? 0])) as RiskPoints;

/** Makes records of facts; what many have in common is made once, so that they are counted fast. */
export function recordMaker(): (facts: EntryFacts) => PieceRecord[] {
  const stacks = new Map<string, string[]>();
  const risks = new Map<string, RiskPoints>();
  const kept = <V>(of: Map<string, V>, key: string, make: () => V): V => {
    const known = of.get(key);
    if (known !== undefined) return known;
    const made = make();
    of.set(key, made);
    return made;
  };
  return (facts) => {
    const { id, loggedAt, name, fabricId, method, rank, stack, who, learned } = facts;
    if (!learned || rank === null || stack === null) return [];
    const { structure, stretchPercent, pileMm, sizeMm } = learned;
    const of = {
      id,
      loggedAt,
      name,
      who,
      fabricId,
      structure,
      stretchPercent,
      pileMm,
      rank,
      sizeMm,
      method,
      stack: kept(stacks, stack, () => (stack === 'nothing' ? [] : stack.split(' + '))),
      risks: kept(risks, learned.risks.join(), () => pointsOf(learned.risks)),
    };
    return learned.results.map((result) => ({ ...of, ...result }));
  };
}
