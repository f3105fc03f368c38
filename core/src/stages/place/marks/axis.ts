import { leanDegOf } from '../../../base/geometry/fitLine';
import type { Point } from '../../../base/geometry/point';
import { add, rotate, subtract } from '../../../base/geometry/point';
import type { Phrase } from '../../../base/units/phrase';
import { mm, phrase } from '../../../base/units/phrase';
import type { MarkQuestion, MarkStep } from './markStep';
import { side, step } from './markStep';
/** The two ends of the design's level axis. */
export function axisEnds(q: Pick<MarkQuestion, 'facts' | 'centre' | 'turnDeg'>): [Point, Point] {
  const half = q.facts.widthMm / 2;
  return [
    add(q.centre, rotate({ x: -half, y: 0 }, q.turnDeg)),
    add(q.centre, rotate({ x: half, y: 0 }, q.turnDeg)),
  ];
}

/** Turns that differ by less are the same to a hand, degrees. */
const SAME_DEG = 0.05;

/** How a hand finds the design's own axis through its centre. */
export function axisWords({ spot, piece, turnDeg }: MarkQuestion, right: Point, centre: Point): Phrase {
  if (Math.abs(turnDeg) < SAME_DEG) return phrase`level with the centre`;
  if (spot.corner && Math.abs(turnDeg + 45) < SAME_DEG) return phrase`square to the crease`;
  if (!spot.edge && Math.abs(turnDeg - leanDegOf(piece.centreLine.used)) < SAME_DEG)
    return phrase`square to the centre line`;
  return phrase`along the design's own axis: its right end lies ${wayThere(subtract(right, centre))}`;
}

/** "30 mm to the right and 12 mm up"; what is nothing is left out. */
export function wayThere({ x, y }: Point): Phrase {
  const parts = [
    ...(Math.abs(x) < 0.05 ? [] : [phrase`${mm(Math.abs(x))} to the ${side(x)}`]),
    ...(Math.abs(y) < 0.05 ? [] : [phrase`${mm(Math.abs(y))} ${y > 0 ? 'down' : 'up'}`]),
  ];
  return parts.flatMap((part, i) => (i === 0 ? part : [' and ', ...part]));
}

/** Both axis ends, either side of the centre. */
export function axisStep(q: MarkQuestion): MarkStep {
  const [left, right] = axisEnds(q);
  return step(
    phrase`Mark both axis ends, ${mm(q.facts.widthMm / 2)} either side of the centre, ${axisWords(q, right, q.centre)}.`,
    {
      figure: mm(q.facts.widthMm / 2),
      hint: phrase`Three marks, ${mm(q.facts.widthMm)} from end to end. The centre alone fixes the place but not the angle.`,
      tape: { from: q.centre, to: right },
      cross: left,
    },
  );
}
