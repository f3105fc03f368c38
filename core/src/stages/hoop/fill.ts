import { boxAbout, heightOf, widthOf } from '../../base/geometry/box';
import { type Point, rotate, subtract } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { cutToBox } from './split';

/** Twice the signed area of a polygon, mm² (the shoelace sum). */
const twiceArea = (polygon: Polygon): number =>
  polygon.reduce((sum, a, i) => {
    const b = polygon[(i + 1) % polygon.length] ?? a;
    return sum + a.x * b.y - b.x * a.y;
  }, 0);

/**
 * How much of a ring the piece fills, percent of the ring's area: below 100 some of the ring grips nothing. The
 * piece may have hollows: what the cut leaves along the ring's edge between two of its parts has no area.
 */
export function fillPercent(
  ring: { centre: Point; turnDeg: number; widthMm: number; heightMm: number },
  piece: Polygon,
): number {
  const box = boxAbout({ x: 0, y: 0 }, ring.widthMm, ring.heightMm);
  const inRing = piece.map((p) => rotate(subtract(p, ring.centre), -ring.turnDeg));
  const shared = Math.abs(twiceArea(cutToBox(inRing, box))) / 2;
  return Math.min(100, (100 * shared) / (widthOf(box) * heightOf(box)));
}
