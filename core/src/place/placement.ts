import type { Reason } from '../findings/reason';
import type { Point } from '../geometry/point';
import type { PieceOutline } from '../piece/geometry';
import type { PieceKindId } from '../piece/schema';
import type { HouseRules } from '../rules/schema';
import type { Phrase } from '../units/phrase';
import type { PlacementId } from './schema';

export type ChestSchool = 'table' | 'armhole' | 'collar';

/** What a placement rule may look at. Lengths in mm. */
export interface PlacementQuestion {
  kind: PieceKindId;
  readings: Readonly<Record<string, number>>;
  outline: PieceOutline;
  /** Half the height of the turned design. */
  halfHeight: number;
  school: ChestSchool;
  rules: HouseRules;
}

/** Where the rule puts the design's centre, and why. `across` is from the centre line to the viewer's right. */
export interface RuledSpot {
  across: number;
  y: number;
  reason: Reason;
}

/** One usual place on a piece. */
export interface Placement {
  id: PlacementId;
  name: string;
  /** The name with both sides named, so that they cannot be mixed up. */
  faces: string;
  kinds: readonly PieceKindId[];
  bySchool: boolean;
  /** The landmark the depth is read from. */
  from: 'shoulderPoint' | 'collarSeam' | 'hem';
  spotOf: (question: PlacementQuestion) => RuledSpot;
}

export const arithmetic = (
  about: string,
  text: Phrase,
  sums: Phrase[],
  school?: Reason['school'],
): Reason => ({
  about,
  text,
  arithmetic: sums,
  ...(school ? { school } : {}),
});

/** The point of the outline's landmark; the outline of a kind names every landmark its placements use. */
export function landmark(outline: PieceOutline, name: string): Point {
  const point = outline.landmarks[name];
  if (!point) throw new Error(`assertion failed: no landmark ${name}`);
  return point;
}
