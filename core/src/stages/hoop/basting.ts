import { type Box, boxOf, cornersOf } from '../../base/geometry/box';
import { add, type Point, rotate } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { numberFor } from '../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import { turnedHull, whyDesignDoesNotFit } from './fit';
import type { LaidHooping } from './hoopings';
import { fieldOf } from './judgeHoop';
import type { LaidHoop } from './layHoop';
import { inHoopFrame } from './ring';
import type { HoopSetting } from './setting';

/** A box drawn so far outside another, mm. */
const outside = ({ left, right, top, bottom }: Box, mm: number): Box => ({
  left: left - mm,
  right: right + mm,
  top: top - mm,
  bottom: bottom + mm,
});

/** The basting box of an outline: along the hoop's sides, so far outside it, mm. */
export const bastingBox = (outline: Polygon, mm: number): Point[] => cornersOf(outside(boxOf(outline), mm));

/** What is stitched in each hooping, hoop frame, mm: the design, its copies one by one, or the parts of a split. */
function stitched(
  laid: LaidHoop,
  hoopings: readonly LaidHooping[],
  { facts, copies }: Pick<HoopSetting, 'facts' | 'copies'>,
): Polygon[] {
  if (laid.split) {
    const { parts } = laid.split.split;
    return parts.map(({ hull, centre }) =>
      turnedHull(hull, -laid.turnDeg).map((p) =>
        add(p, rotate({ x: -centre.x, y: -centre.y }, -laid.turnDeg)),
      ),
    );
  }
  if (hoopings.length === 0) return [turnedHull(facts.hull, -laid.turnDeg).map((p) => add(p, laid.designAt))];
  return hoopings.flatMap(({ copies: reached, centre }) =>
    reached.map((i) => (copies[i] ?? []).map((p) => inHoopFrame(p, { centre, onPieceDeg: laid.onPieceDeg }))),
  );
}

/**
 * How far outside the design a basting box can be stitched, mm: by the house number where every box lies in the stitch
 * field of its hooping, else nearer; null where even that leaves the field.
 */
export function bastingMmIn(
  laid: LaidHoop,
  hoopings: readonly LaidHooping[],
  setting: Pick<HoopSetting, 'facts' | 'copies' | 'rules'>,
): number | null {
  const usual = numberFor(setting.rules, HOOP_NUMBERS.bastingOutsideMm);
  const nearer = Math.min(usual, numberFor(setting.rules, HOOP_NUMBERS.bastingNearerMm));
  const field = fieldOf(laid.verdict.hoop);
  const outlines = stitched(laid, hoopings, setting);
  const lies = (mm: number) =>
    outlines.every(
      (one) => whyDesignDoesNotFit(bastingBox(one, mm), field, { turnDeg: 0, x: 0, y: 0 }) === null,
    );
  return [usual, nearer].find(lies) ?? null;
}
