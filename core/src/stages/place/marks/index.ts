import type { MarkMethod } from '../../../model/ticket/place';
import type { PiecePlan } from '../../piece/planPiece';
import type { RuledSpot } from '../placement';
import { FOLD } from './fold';
import { copySteps, transferStep } from './further';
import { JOIN } from './join';
import type { MarkingWay } from './markMethod';
import type { MarkQuestion, MarkStep } from './markStep';
import { TAPE } from './tape';
import { TEMPLATE } from './template';
import { WEAR } from './wear';

/** Every way of marking, in the order they are offered; a new one is a file here and its name in this list. */
const WAYS: readonly MarkingWay[] = [TAPE, FOLD, JOIN, TEMPLATE, WEAR];

/** The ways of marking that serve a spot, the one to begin with first. */
export function methodsFor(piece: PiecePlan, spot: RuledSpot): MarkMethod[] {
  const serving = WAYS.filter((way) => way.serves(piece, spot));
  const first = serving.filter((way) => way.isFirst?.(spot));
  return [...first, ...serving.filter((way) => !first.includes(way))].map(({ id }) => id);
}

/** The steps of the mark card in the order the tape is used, ending in the centre, its axis ends and the wrong side. */
export function markSteps(q: MarkQuestion, method: MarkMethod): MarkStep[] {
  const way = WAYS.find(({ id }) => id === method) ?? TAPE;
  return [...way.steps(q), ...copySteps(q), transferStep(q)];
}
