import { type Box, boxOf, heightOf, inflate, widthOf } from '@zt/core/base/geometry/box';
import type { Plan } from '@zt/core/planner/planned';
import { posesOf } from '@zt/core/stages/place/moveCopy';
import type { PlacePlan } from '@zt/core/stages/place/planPlace';

/** Copies to either side of the middle that are seen on a narrow screen. */
const NEIGHBOURS = 2.4;

/**
 * The part of the piece that the marks speak of, piece frame, mm. It stays where it is when the design is moved
 * off its rule. Low faces and faces with several copies are seen whole; of a hem
 * on a narrow screen the middle, where the work begins.
 */
export function placeFocus({ piece }: Pick<Plan, 'piece'>, place: PlacePlan, wide = true): Box {
  const { sketch, view } = piece;
  const whole = boxOf(sketch.outline);
  const top = sketch.landmarks[view.halving.left];
  if (place.run && !wide) {
    const half = Math.min(widthOf(whole) / 2, place.run.pitchMm * NEIGHBOURS);
    return { left: -half, right: half, top: boxOf(place.footprint).top - half * 0.5, bottom: whole.bottom };
  }
  if (posesOf(place).length > 1 || heightOf(whole) <= widthOf(whole) * 1.1) return inflate(whole, 8);
  const body = boxOf(sketch.hoopable);
  const box = boxOf(place.footprint);
  const moved = place.centre.y - place.ruled.y;
  const span = widthOf(body) * 0.16;
  if (view.datumSign < 0)
    return { left: body.left - 10, right: body.right + 10, top: box.top - moved - span, bottom: 6 };
  return {
    left: body.left,
    right: body.right,
    top: Math.min(body.top, place.depthFrom.y) - 8,
    bottom: Math.max(box.bottom - moved + span, (top?.y ?? 0) + span * 0.5),
  };
}
