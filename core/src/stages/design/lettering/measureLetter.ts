import { boxOf, heightOf } from '../../../base/geometry/box';
import { type Region, type Ring, signedAreaOf } from '../../../base/geometry/clip';
import { type Point, subtract } from '../../../base/geometry/point';
import { hullOf, segmentsOf } from '../../../base/geometry/polygon';
import type { SetLetter } from '../../../model/ticket/artwork';

type Segment = [Point, Point];

/** How far a ray goes from a point until it meets one of the segments; endless where it meets none. */
function rayLength(from: Point, way: Point, segments: readonly Segment[]): number {
  let nearest = Infinity;
  for (const [a, b] of segments) {
    const along = subtract(b, a);
    const across = way.x * along.y - way.y * along.x;
    if (Math.abs(across) < 1e-12) continue;
    const to = subtract(a, from);
    const t = (to.x * along.y - to.y * along.x) / across;
    const u = (to.x * way.y - to.y * way.x) / across;
    if (t > 1e-6 && u >= 0 && u <= 1 && t < nearest) nearest = t;
  }
  return nearest;
}

/** So much of the outline may be at thinner places, which are ends and corners, and no strokes. */
const ENDS = 0.15;

/**
 * The thinnest stroke of a letter, mm: from the middle of every piece of its outline straight across to the other side,
 * the ends and corners left out. Rings are oriented as a clipper gives them: outer ones one way, holes the other.
 */
function strokeOf(region: Region): number {
  const segments = region.flatMap((ring) => segmentsOf(ring, true));
  const outer = region.reduce((most, ring) => {
    const area = signedAreaOf(ring);
    return Math.abs(area) > Math.abs(most) ? area : most;
  }, 0);
  const inward = outer > 0 ? 1 : -1;
  const found = segments
    .map(([a, b]) => {
      const long = Math.hypot(b.x - a.x, b.y - a.y);
      const way = { x: (inward * (a.y - b.y)) / long, y: (inward * (b.x - a.x)) / long };
      return {
        long,
        mm: long > 0 ? rayLength({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, way, segments) : Infinity,
      };
    })
    .filter(({ mm }) => Number.isFinite(mm))
    .sort((a, b) => a.mm - b.mm);
  let left = ENDS * found.reduce((sum, { long }) => sum + long, 0);
  for (const { long, mm } of found) {
    left -= long;
    if (left <= 0) return mm;
  }
  return 0;
}

/** The least width of a ring's hull, mm (rotating calipers: the least is across one of its edges). */
function widthAcross(ring: Ring): number {
  const hull = hullOf(ring);
  return segmentsOf(hull, true).reduce((least, [a, b]) => {
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    if (long === 0) return least;
    const far = hull.map((p) => Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / long);
    return Math.min(least, Math.max(...far));
  }, Infinity);
}

/** What is judged of a letter as it was set, mm: its height, its thinnest stroke, and the narrowest space it closes in. */
export function measureLetter(letter: string, region: Region): SetLetter {
  const isOuter = (ring: Ring) => signedAreaOf(ring) > 0;
  const largest = [...region].sort((a, b) => Math.abs(signedAreaOf(b)) - Math.abs(signedAreaOf(a)))[0];
  const holes = largest ? region.filter((ring) => isOuter(ring) !== isOuter(largest)) : [];
  return {
    letter,
    heightMm: heightOf(boxOf(region.flat())),
    strokeMm: strokeOf(region),
    counterMm: holes.length > 0 ? Math.min(...holes.map(widthAcross)) : null,
  };
}
