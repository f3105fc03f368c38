import type { MarkMethod } from '../../../model/ticket/place';
import type { PiecePlan } from '../../piece/planPiece';
import type { RuledSpot } from '../placement';
import type { MarkQuestion, MarkStep } from './markStep';
/** A way of marking: the spots it serves, and what the hand does to find the centre and both axis ends. */
export interface MarkingWay {
  id: MarkMethod;
  serves: (piece: PiecePlan, spot: RuledSpot) => boolean;
  /** Whether it is the first to be offered at a spot. */
  isFirst?: (spot: RuledSpot) => boolean;
  steps: (q: MarkQuestion) => MarkStep[];
}
