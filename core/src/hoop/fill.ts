import { areaD, FillRule, intersectD, type PathD } from 'clipper2-ts';
import type { Polygon } from '../geometry/polygon';

const pathOf = (polygon: Polygon): PathD => polygon.map((p) => ({ x: p.x, y: p.y }));
const DIGITS = 3;

/** How much of a ring the piece fills, percent of the ring's area: below 100 some of the ring grips nothing. */
export function fillPercent(ring: Polygon, piece: Polygon): number {
  const ringPath = pathOf(ring);
  const shared = intersectD([ringPath], [pathOf(piece)], FillRule.NonZero, DIGITS);
  const area = shared.reduce((sum, path) => sum + areaD(path), 0);
  return Math.min(100, Math.max(0, (100 * Math.abs(area)) / Math.abs(areaD(ringPath))));
}
