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
    apart: (a, b) =>
      within(Math.abs(Math.log(Math.max(1, a.sizeMm) / Math.max(1, b.sizeMm))) / Math.log(SIZE_TIMES)),
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
 * The past pieces most like one, the nearest first, the latest of those as near; none beyond what is still alike. One
 * pass; what two stacks are apart is worked out once for each stack, so records that share theirs are fastest.
 */
export function likePieces(
  target: PieceConditions,
  records: Iterable<PieceRecord>,
  { rules, most }: { rules: HouseRules; most: number },
): LikePiece[] {
  const weighed = ALL.map((thing) => ({
    weight: numberFor(rules, LIKENESS[thing].weight),
    apart: thing === 'stack' ? stackApartOf(target) : LIKENESS[thing].apart,
  })).filter(({ weight }) => weight > 0);
  const weights = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const farthest = weights === 0 ? Infinity : (numberFor(rules, N.likeWithin) / 100) * weights + 1e-12;
  const near: LikePiece[] = [];
  if (most < 1) return near;
  for (const record of records) {
    let sum = 0;
    for (const { weight, apart } of weighed) {
      sum += weight * apart(target, record);
      if (sum > farthest) break;
    }
    if (sum <= farthest) putAmong(near, { record, distance: weights === 0 ? 0 : sum / weights }, most);
  }
  return near;
}

/** How far stacks are apart from one, each worked out once. */
function stackApartOf({ stack }: PieceConditions): Apart {
  const known = new Map<readonly string[], number>();
  return (_, other) => {
    const kept = known.get(other.stack);
    if (kept !== undefined) return kept;
    const apart = stacksApart(stack, other.stack);
    known.set(other.stack, apart);
    return apart;
  };
}
