import { type HouseNumber, numberFor } from '../../catalogue/houseNumber';
import { EVIDENCE_NUMBERS as N } from '../../catalogue/numbers/evidence';
import type { HouseRules } from '../../model/houseRules';
import type { PieceConditions, PieceRecord } from './pieceRecord';

/** How far two pieces are apart in one thing, 0 to 1. */
type Apart = (a: PieceConditions, b: PieceConditions) => number;

/** As different as cloth is in a shop. */
const STRETCH_RANGE = 40;
const PILE_RANGE_MM = 4;
const RANKS = 4;
/** So many times as large is as different as sizes are. */
const SIZE_TIMES = 4;

const within = (value: number): number => Math.min(1, Math.max(0, value));

/** The share of sheets that only one of two stacks has; of two stacks of nothing none. */
function stacksApart(a: readonly string[], b: readonly string[]): number {
  const left = [...b];
  let both = 0;
  for (const sheet of a) {
    const at = left.indexOf(sheet);
    if (at < 0) continue;
    left.splice(at, 1);
    both += 1;
  }
  const all = a.length + b.length - both;
  return all === 0 ? 0 : 1 - both / all;
}

const sizesApart = (a: number, b: number): number =>
  within(Math.abs(Math.log(Math.max(1, a) / Math.max(1, b))) / Math.log(SIZE_TIMES));

/** What pieces are likened by, in the order it is told. */
export const LIKENESS = {
  cloth: {
    weight: N.likeCloth,
    apart: (a, b) => (a.fabricId === b.fabricId ? 0 : a.structure === b.structure ? 0.5 : 1),
  },
  stretch: {
    weight: N.likeStretch,
    apart: (a, b) => within(Math.abs(a.stretchPercent - b.stretchPercent) / STRETCH_RANGE),
  },
  pile: { weight: N.likePile, apart: (a, b) => within(Math.abs(a.pileMm - b.pileMm) / PILE_RANGE_MM) },
  density: { weight: N.likeDensity, apart: (a, b) => Math.abs(a.rank - b.rank) / RANKS },
  method: { weight: N.likeMethod, apart: (a, b) => (a.method === b.method ? 0 : 1) },
  stack: { weight: N.likeStack, apart: (a, b) => stacksApart(a.stack, b.stack) },
  size: {
    weight: N.likeSize,
    apart: (a, b) => sizesApart(a.sizeMm, b.sizeMm),
  },
} satisfies Record<string, { weight: HouseNumber; apart: Apart }>;
export type Likened = keyof typeof LIKENESS;
const ALL = Object.keys(LIKENESS) as Likened[];

/** How far two pieces are apart, 0 the same to 1: the weighted mean of what they differ in (Gower 1971). */
export function distanceOf(a: PieceConditions, b: PieceConditions, rules: HouseRules): number {
  let [sum, weights] = [0, 0];
  for (const thing of ALL) {
    const weight = numberFor(rules, LIKENESS[thing].weight);
    sum += weight * LIKENESS[thing].apart(a, b);
    weights += weight;
  }
  return weights === 0 ? 0 : sum / weights;
}

/** What two pieces differ in, the weightiest first. */
export const differencesOf = (a: PieceConditions, b: PieceConditions, rules: HouseRules): Likened[] =>
  ALL.map((thing) => ({
    thing,
    by: LIKENESS[thing].apart(a, b) * numberFor(rules, LIKENESS[thing].weight),
  }))
    .filter(({ by }) => by > 0)
    .sort((p, q) => q.by - p.by)
    .map(({ thing }) => thing);

export interface LikePiece {
  record: PieceRecord;
  distance: number;
}

/** Puts a piece among the nearest, the latest first of those as near; none beyond so many. */
function putAmong(near: LikePiece[], piece: LikePiece, most: number): void {
  const comesBefore = (other: LikePiece): boolean =>
    piece.distance < other.distance ||
    (piece.distance === other.distance && piece.record.loggedAt > other.record.loggedAt);
  const last = near.at(-1);
  if (near.length >= most && last && !comesBefore(last)) return;
  let at = near.length;
  while (at > 0 && comesBefore(near[at - 1] as LikePiece)) at -= 1;
  near.splice(at, 0, piece);
  if (near.length > most) near.pop();
}

/**
 * Past pieces, ready to be likened: what they were made with but for the size is kept once for all that were made so, since a
 * shop makes much of the same.
 */
export interface PieceTable {
  records: PieceRecord[];
  /** Every cloth, density, method and stack that there is among them, by one of its pieces. */
  made: PieceRecord[];
  /** Which of these each record is. */
  madeOf: number[];
  sizeMm: number[];
  numbers: Map<string, number>;
}

export const emptyTable = (): PieceTable => ({
  records: [],
  made: [],
  madeOf: [],
  sizeMm: [],
  numbers: new Map(),
});

export function addPiece(table: PieceTable, record: PieceRecord): void {
  const { fabricId, structure, stretchPercent, pileMm, rank, method, stack } = record;
  const key = `${fabricId}|${structure}|${stretchPercent}|${pileMm}|${rank}|${method}|${stack.join('+')}`;
  let number = table.numbers.get(key);
  if (number === undefined) {
    number = table.made.length;
    table.numbers.set(key, number);
    table.made.push(record);
  }
  table.records.push(record);
  table.madeOf.push(number);
  table.sizeMm.push(record.sizeMm);
}

export function tableOf(records: Iterable<PieceRecord>): PieceTable {
  const table = emptyTable();
  for (const record of records) addPiece(table, record);
  return table;
}

/** The past pieces most like one, the nearest first, the latest of those as near; none beyond what is still alike. */
export function likePieces(
  target: PieceConditions,
  { records, made, madeOf, sizeMm }: PieceTable,
  { rules, most }: { rules: HouseRules; most: number },
): LikePiece[] {
  const near: LikePiece[] = [];
  if (most < 1) return near;
  const weights = ALL.reduce((sum, thing) => sum + numberFor(rules, LIKENESS[thing].weight), 0);
  const sizeWeight = weights === 0 ? 0 : numberFor(rules, LIKENESS.size.weight) / weights;
  const farthest = numberFor(rules, N.likeWithin) / 100 + 1e-12;
  // Whatever its size, one of these is at least so far.
  const atLeast = made.map((record) => distanceOf(target, { ...record, sizeMm: target.sizeMm }, rules));
  for (let i = records.length - 1; i >= 0; i--) {
    const least = atLeast[madeOf[i] as number] as number;
    const last = near.length >= most ? (near[most - 1] as LikePiece).distance : farthest;
    if (least > Math.min(farthest, last)) continue;
    const distance = least + sizeWeight * sizesApart(target.sizeMm, sizeMm[i] as number);
    if (distance <= farthest) putAmong(near, { record: records[i] as PieceRecord, distance }, most);
  }
  return near;
}
