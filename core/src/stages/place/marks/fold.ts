import type { Point } from '../../../base/geometry/point';
import { mm, phrase } from '../../../base/units/phrase';
import { axisStep } from './axis';
import { centreStep, depthStep } from './centre';
import { foldedLineSteps, isFolded, isHalved } from './lineSteps';
import type { MarkingWay } from './markMethod';
import type { MarkQuestion, MarkStep } from './markStep';
import { step } from './markStep';

/** Along the crease that halves a corner. */
function diagonalSteps(q: MarkQuestion, corner: Point): MarkStep[] {
  const along = Math.hypot(corner.x - q.centre.x, corner.y - q.centre.y);
  return [
    step(phrase`Fold the corner so that its two edges lie on each other, and press a short crease.`, {
      tape: { from: corner, to: q.centre },
      hint: phrase`The crease halves the corner: 45° to both edges.`,
    }),
    step(phrase`From the corner's point ${mm(along)} along the crease: chalk the centre.`, {
      figure: mm(along),
      hint: phrase`Check it: ${mm(corner.x - q.centre.x)} from the side edge, ${mm(corner.y - q.centre.y)} from the bottom edge.`,
      tape: { from: corner, to: q.centre },
      cross: q.centre,
      acts: [{ do: 'along crease', corner, towards: q.centre, mm: along }],
    }),
  ];
}

/** By folding: a corner on its diagonal, or the piece on its centre line where the two halves are alike. */
export const FOLD: MarkingWay = {
  id: 'fold',
  serves: (piece, { corner, edge }) =>
    corner !== null || (!edge && isFolded({ piece }) && (piece.evenness.length > 0 || isHalved({ piece }))),
  isFirst: ({ corner }) => corner !== null,
  steps: (q) =>
    q.spot.corner
      ? [...diagonalSteps(q, q.spot.corner), axisStep(q)]
      : [...foldedLineSteps(q), depthStep(q, 'press or chalk'), centreStep(q, 'crease'), axisStep(q)],
};
