import { boxOf } from '../../base/geometry/box';
import { add, distance, ORIGIN, type Point, rotate, subtract } from '../../base/geometry/point';
import { mm, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../catalogue/numbers/design';
import type { Mend } from '../../model/finding';
import { allowedRegion, type Field, type Pose, whyDesignDoesNotFit } from '../hoop/fit';
import type { CrookedQuestion } from './crookedQuestion';
import type { CrookedPose } from './solveCrooked';

type Asked = { lie: CrookedPose; pose: Pose };

/** A design just inside the edge: what a key rounds by. */
const INSIDE_MM = 0.06;

const smaller = (field: Field): Field => ({
  ...field,
  widthMm: field.widthMm - 2 * INSIDE_MM,
  heightMm: field.heightMm - 2 * INSIDE_MM,
});

/** The place in the field nearest to a pose at which the turned design fits; null where it fits nowhere. */
function nearestAllowed(q: CrookedQuestion, pose: Pose): Point | null {
  const region = allowedRegion(q.facts.hull, smaller(q.field), pose.turnDeg);
  if (region.length === 0) return null;
  if (q.field.round) {
    const inwards = subtract(ORIGIN, pose);
    for (let share = 0; share <= 1; share += 0.01) {
      const at = add(pose, { x: inwards.x * share, y: inwards.y * share });
      if (!whyDesignDoesNotFit(q.facts.hull, smaller(q.field), { ...pose, ...at })) return at;
    }
    return ORIGIN;
  }
  const { left, right, top, bottom } = boxOf(region);
  return { x: Math.min(right, Math.max(left, pose.x)), y: Math.min(bottom, Math.max(top, pose.y)) };
}

/** Stitch it off its marks, as far as the turned design needs to lie inside the field. */
function shift(q: CrookedQuestion, { lie, pose }: Asked): Mend[] {
  const to = nearestAllowed(q, pose);
  if (!to) return [];
  const by = rotate(subtract(to, pose), -lie.turnDeg);
  return [
    {
      label: phrase`Stitch it ${mm(distance(by, ORIGIN))} off its marks`,
      result: phrase`inside the field as it lies`,
      cost: phrase`it sits ${mm(distance(add(q.offset, by), ORIGIN))} off the rule`,
      change: { stage: 'place', set: { offset: add(q.offset, by) } },
    },
  ];
}

/** Shrink it until it fits as it lies, turned. */
function shrink(q: CrookedQuestion, { pose }: Asked): Mend[] {
  const least = numberFor(q.rules, DESIGN_NUMBERS.resizeLeastPercent);
  for (let to = q.scalePercent - 1; to >= least; to--) {
    const by = to / q.scalePercent;
    const hull = q.facts.hull.map((p) => ({ x: p.x * by, y: p.y * by }));
    if (whyDesignDoesNotFit(hull, smaller(q.field), pose)) continue;
    return [
      {
        label: phrase`Shrink to ${percent(to)}`,
        result: phrase`fits as it lies, turned and all`,
        cost: phrase`${percent(((100 / to) ** 2 - 1) * 100)} denser with the same stitches`,
        change: { stage: 'design', set: { scalePercent: to } },
      },
    ];
  }
  return [];
}

/** Ways out for a design that leaves the field as the piece lies, beside hooping it again; worked out as it is turned. */
export const crookedRescues = (q: CrookedQuestion, asked: Asked): Mend[] => [
  ...shift(q, asked),
  ...shrink(q, asked),
];
