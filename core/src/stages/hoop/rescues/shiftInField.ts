import { boxOf, clampTo } from '../../../base/geometry/box';
import type { Point } from '../../../base/geometry/point';
import { add, distance, negate, ORIGIN, rotate, subtract } from '../../../base/geometry/point';
import { mm, phrase } from '../../../base/units/phrase';
import { nearestReach } from '../nearestReach';
import { inHoopFrame } from '../ring';
import type { HoopFault, HoopSet, Rescue, RescueQuestion } from './rescue';
import { canClose, forHoop, set, WHERE_IT_LIES, works } from './rescue';
import { LEAST_SHIFT_MM, wayInWords } from './wayInWords';

function moved(asked: RescueQuestion, by: Point, change: HoopSet, removes: readonly HoopFault[]): Rescue[] {
  const off = distance(add(asked.setting.offset, by), ORIGIN);
  return [
    {
      label: phrase`Shift the design ${wayInWords(by)}`,
      result: phrase`inside the field of ${asked.verdict.hoop.name}`,
      cost: phrase`it sits ${mm(off)} off the rule`,
      change: { stage: 'place', set: { offset: add(asked.setting.offset, by) } },
      also: set(forHoop(asked, change)),
      removes,
    },
  ];
}

/** Shift the design inside the field, off its rule: the hoop stays where it is on the cloth, or goes where it lies. */
export function shiftInField(asked: RescueQuestion): Rescue[] {
  const { laid, setting, method, verdict } = asked;
  if (laid && asked.input.shift && laid.allowed.length > 0) {
    const inside = clampTo(boxOf(laid.allowed.map((p) => inHoopFrame(p, laid))), laid.designAt);
    const by = rotate(subtract(inside, laid.designAt), laid.onPieceDeg);
    return distance(by, ORIGIN) < 0.05 ? [] : moved(asked, by, { shift: negate(inside) }, ['misses']);
  }
  const movable = verdict.fits && verdict.whyNotUsed === null && canClose(asked);
  if (method === 'floated' || !movable || works(verdict, method)) return [];
  const reach = nearestReach(verdict, setting);
  if (!reach) return [];
  const { by, turnDeg, designAt } = reach;
  const place = { turnDeg, shift: negate(designAt) };
  if (distance(by, ORIGIN) > LEAST_SHIFT_MM) return moved(asked, by, place, WHERE_IT_LIES);
  return [
    {
      label: phrase`Lay the hoop ${wayInWords(rotate(place.shift, setting.designTurnDeg + turnDeg))}, off the mark`,
      result: phrase`its ring lies clear there`,
      cost: phrase`none: the design stays on its rule, off the middle of the field`,
      change: set(forHoop(asked, place)),
      removes: WHERE_IT_LIES,
    },
  ];
}
