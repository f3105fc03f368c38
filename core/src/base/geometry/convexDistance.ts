import { dot, ORIGIN, type Point, subtract } from './point';
import type { Polygon } from './polygon';

/** Steps after which the answer is as near as floats allow. */
const MOST_STEPS = 64;
const NEAR_ENOUGH = 1e-12;

/** The polygon's vertex farthest along a direction. */
function support(polygon: Polygon, way: Point): Point {
  let best: Point = polygon[0] ?? ORIGIN;
  let reach = -Infinity;
  for (const p of polygon) {
    const along = p.x * way.x + p.y * way.y;
    if (along > reach) {
      reach = along;
      best = p;
    }
  }
  return best;
}

/** The point of a segment nearest the origin, with the ends it needs. */
function nearestOnSegment(a: Point, b: Point): { at: Point; kept: Point[] } {
  const ab = subtract(b, a);
  const length = dot(ab, ab);
  const t = length === 0 ? 0 : -dot(a, ab) / length;
  if (t <= 0) return { at: a, kept: [a] };
  if (t >= 1) return { at: b, kept: [b] };
  return { at: { x: a.x + t * ab.x, y: a.y + t * ab.y }, kept: [a, b] };
}

const side = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;

/** The point of a triangle nearest the origin; null when the origin lies inside. */
function nearestOnTriangle(a: Point, b: Point, c: Point): { at: Point; kept: Point[] } | null {
  const [s, t, u] = [side(a, b), side(b, c), side(c, a)];
  if ((s > 0 && t > 0 && u > 0) || (s < 0 && t < 0 && u < 0)) return null;
  const edges = [nearestOnSegment(a, b), nearestOnSegment(b, c), nearestOnSegment(c, a)];
  return edges.reduce((best, e) => (dot(e.at, e.at) < dot(best.at, best.at) ? e : best));
}

/**
 * Least distance between two convex polygons, mm; 0 where they touch or overlap. Vertices in any order round the
 * hull; a point or a segment counts as a polygon. By the walk over the Minkowski difference of Gilbert, Johnson
 * and Keerthi (1988): each step costs one look at every vertex.
 */
export function convexDistance(a: Polygon, b: Polygon): number {
  let at = subtract(a[0] ?? ORIGIN, b[0] ?? ORIGIN);
  let simplex: Point[] = [at];
  for (let step = 0; step < MOST_STEPS; step++) {
    const square = dot(at, at);
    if (square < NEAR_ENOUGH) return 0;
    const next = subtract(support(a, { x: -at.x, y: -at.y }), support(b, at));
    if (square - dot(at, next) <= NEAR_ENOUGH * square) return Math.sqrt(square);
    simplex.push(next);
    const [p, q, r] = simplex;
    const nearest =
      p && q && r ? nearestOnTriangle(p, q, r) : p && q ? nearestOnSegment(p, q) : { at: next, kept: [next] };
    if (nearest === null) return 0;
    if (dot(nearest.at, nearest.at) >= square) return Math.sqrt(square);
    ({ at, kept: simplex } = nearest);
  }
  return Math.hypot(at.x, at.y);
}
