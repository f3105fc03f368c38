import type { FaultId } from '../../model/faults';
import type { LogEntry, LogSummary } from '../../model/logEntry';
import { piecesOf } from '../../model/pieces';
import type { Sheet } from '../../model/ticket/layers';
import type { Fabric } from '../../model/ticket/piece';
import { densityClassOf, densityRank } from '../../stages/design/designFacts';
import { fabricOf } from '../../stages/piece/planPiece';

/** What is learned from of a finished piece: its cloth, its design, how it was held, and what went wrong. */
export interface PieceRecord extends PieceConditions {
  id: string;
  loggedAt: string;
  name: string;
  /** How many pieces it stands for. */
  pieces: number;
  /** Who made it; empty where nobody said. */
  who: string;
  /** The severity of each fault that was seen, 1 to 3. */
  faults: Partial<Record<FaultId, number>>;
}

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
  /** Its sheets, each as one word. */
  stack: string[];
}

/** A sheet as it counts in a stack: its stabilizer, and whether it is one with the cloth. */
export const sheetWord = ({ stabilizer, bond }: Pick<Sheet, 'stabilizer' | 'bond'>): string =>
  bond === 'none' ? stabilizer : `${stabilizer} ${bond}`;

/** A stack as one text, whatever the order of its sheets. */
export const stackWord = (stack: readonly string[]): string => [...stack].sort().join(' + ') || 'nothing';

const seen = (faults: LogEntry['log']['faults']): PieceRecord['faults'] =>
  Object.fromEntries(Object.entries(faults).filter(([, severity]) => (severity ?? 0) > 0));

/** Sheets of a plan that an older planner kept say where they were in one word: what bonded them. */
const wordOfKept = (
  sheet: NonNullable<NonNullable<LogEntry['plan']['layers']>['sheets']>[number],
): string => {
  if ('bond' in sheet) return sheetWord(sheet);
  const bonds = { fused: 'fused', spray: 'sprayed', sticky: 'sticky' } as const;
  const bond = sheet.hold in bonds ? bonds[sheet.hold as keyof typeof bonds] : 'none';
  return sheetWord({ stabilizer: sheet.stabilizer, bond });
};

/**
 * What is learned from of a log entry, mm: what was really used goes before what was planned. Null where its plan has no
 * design or no layers that can be read: nothing is learned from half a piece.
 */
export function recordOf({ id, loggedAt, ticket, plan, log }: LogEntry): PieceRecord | null {
  const facts = plan.design?.facts;
  if (!facts || !plan.layers) return null;
  const { id: fabricId, structure, stretchPercent, pileMm } = fabricOf(ticket.piece);
  const { widthMm, heightMm, stitches } = facts;
  const perCm2 = stitches / Math.max(0.01, (widthMm * heightMm) / 100);
  return {
    id,
    loggedAt,
    name: ticket.name,
    pieces: piecesOf(ticket),
    who: log.by.trim(),
    fabricId: ticket.piece.fabricId || fabricId,
    structure,
    stretchPercent,
    pileMm,
    rank: densityRank(densityClassOf(perCm2)),
    sizeMm: Math.max(widthMm, heightMm),
    method: log.used.method ?? plan.hoop?.method ?? 'hooped',
    stack: log.used.sheets ? log.used.sheets.map(sheetWord) : plan.layers.sheets.map(wordOfKept),
    faults: seen(log.faults),
  };
}
