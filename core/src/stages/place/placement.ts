import type { Point } from '../../base/geometry/point';
import type { Phrase } from '../../base/units/phrase';
import type { HouseRules } from '../../model/houseRules';
import type { Reason } from '../../model/reason';
import type { PieceOutline, PieceView } from '../piece/geometry';
import type { Readings } from '../piece/readings';

export type ChestSchool = 'table' | 'armhole' | 'collar';

/** How far a design reaches from its centre on each side, mm. */
export interface Extents {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** What a placement rule may look at. Lengths in mm. */
export interface PlacementQuestion {
  view: PieceView;
  readings: Readings;
  outline: PieceOutline;
  /** The design's reach when the rule turns it by so many degrees. */
  reachAt: (turnDeg: number) => Extents;
  /** The gap the maker wishes from an edge; null for the shop's usual one. */
  edgeGapMm: number | null;
  school: ChestSchool;
  rules: HouseRules;
}

/** The landmark a depth is read from, what it is called, and which way the tape runs from it. */
export interface DepthFrom {
  at: Point;
  name: string;
  way: 'down' | 'up';
  hint?: Phrase;
}

/** Where the rule puts the design's centre, and why. */
export interface RuledSpot {
  /** From the centre line to the viewer's right, mm. */
  across: number;
  y: number;
  /** The rule's own turn, clockwise; 0 for upright. */
  turnDeg: number;
  depth: DepthFrom;
  /** Where the tape across starts, when not at the centre line. */
  edge: { x: number; name: string } | null;
  /** The corner's point when the spot is found along the crease between its two edges. */
  corner: Point | null;
  /** The room there is from side to side, and what it is called; null where seams and bands alone bound it. */
  space: { name: string; widthMm: number } | null;
  /** A chest or a back: its bottom should stay above the waist. */
  aboveWaist: boolean;
  reason: Reason;
}

/** A spot found from the centre line, with what differs from the plainest one. */
export const spot = (rest: Pick<RuledSpot, 'y' | 'depth' | 'reason'> & Partial<RuledSpot>): RuledSpot => ({
  across: 0,
  turnDeg: 0,
  edge: null,
  corner: null,
  space: null,
  aboveWaist: false,
  ...rest,
});

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
