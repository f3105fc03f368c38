import type { Point } from '../../../base/geometry/point';

/**
 * What a hand does with tape and chalk in one step, so that steps can be followed to the letter by a test as by a
 * person. Piece frame, mm; `y` is a level on the piece.
 */
export type MarkAct =
  /** A level line so far from a landmark. */
  | { do: 'level'; from: Point; mm: number; way: 'up' | 'down' }
  /** A mark at half of what the tape reads between both edges at a level. */
  | { do: 'halve'; y: number }
  /** A mark so far from the edge on your left at a level. */
  | { do: 'from left'; y: number; mm: number }
  /** A mark so far to the right of a landmark; to its left below nothing. */
  | { do: 'beside'; at: Point; mm: number }
  /** The last two marks joined give the line. */
  | { do: 'join' }
  /** A crease with both edges matched is the line. */
  | { do: 'crease' }
  /** The centre, along the level, so far to the right of the line; to its left below nothing. */
  | { do: 'from line'; mm: number }
  /** The centre, along the level, so far to the right of an edge; to its left below nothing. */
  | { do: 'from edge'; x: number; mm: number }
  /** The centre, so far along the crease that halves a corner, towards a point of the piece. */
  | { do: 'along crease'; corner: Point; towards: Point; mm: number };
