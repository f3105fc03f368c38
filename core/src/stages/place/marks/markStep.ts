import type { Point } from '../../../base/geometry/point';
import type { DisplayUnits } from '../../../base/units/length';
import type { Phrase, Quantity } from '../../../base/units/phrase';
import type { DesignFacts } from '../../design/designFacts';
import type { PieceOutline } from '../../piece/geometry';
import type { PiecePlan } from '../../piece/planPiece';
import type { Copy } from '../copies';
import type { RuledSpot } from '../placement';
import type { MarkAct } from './acts';

/** One step of the mark card, with what the hand does and what to draw for it. Points in the piece frame, mm. */
export interface MarkStep {
  text: Phrase;
  figure: Quantity | null;
  hint: Phrase | null;
  /** The tape lies from here to there. */
  tape: { from: Point; to: Point } | null;
  /** The chalk cross to make. */
  cross: Point | null;
  /** What the hand does, in order. */
  acts: readonly MarkAct[];
}

/** What the steps are worked out from. */
export interface MarkQuestion {
  piece: PiecePlan;
  outline: PieceOutline;
  facts: DesignFacts;
  spot: RuledSpot;
  centre: Point;
  /** The design's turn on the piece, clockwise in degrees. */
  turnDeg: number;
  /** Where the used centre line passes at the design's level. */
  lineX: number;
  copies: readonly Copy[];
  /** The smallest stabilizer patch that serves, mm. */
  patch: { widthMm: number; heightMm: number };
  units: DisplayUnits;
}

/** To which side of a line a place across it lies, as the piece faces you. */
export const side = (x: number) => (x >= 0 ? 'right' : 'left');
/** A step with nothing but its words, unless `rest` brings more. */
export const step = (text: Phrase, rest: Partial<MarkStep> = {}): MarkStep => ({
  text,
  figure: null,
  hint: null,
  tape: null,
  cross: null,
  acts: [],
  ...rest,
});
