import { distance, nearestOnSegment, ORIGIN, type Point } from './point';
import { type Polygon, polygonsOverlap, segmentsOf } from './polygon';

export interface NearestPair {
  /** Least distance, mm; 0 when they overlap. */
  mm: number;
  /** A point of each polygon where they are that near. */
  on: [Point, Point];
}

const edgesOf = (polygon: Polygon): [Point, Point][] => {
  const edges = segmentsOf(polygon, true);
  const [only] = polygon;
  return edges.length === 0 && only ? [[only, only]] : edges;
};

/**
 * The least distance of two polygons with a point of each where it is least. Exact: of two polygons that do not
 * overlap a corner of one is nearest to an edge of the other. Infinite when one has no points.
 */
export function nearestPair(a: Polygon, b: Polygon): NearestPair {
  const [first, second] = [a[0], b[0]];
  let best: NearestPair = { mm: Infinity, on: [first ?? ORIGIN, second ?? ORIGIN] };
  if (!first || !second) return best;
  for (const p of a)
    for (const edge of edgesOf(b)) {
      const on = nearestOnSegment(p, ...edge);
      if (distance(p, on) < best.mm) best = { mm: distance(p, on), on: [p, on] };
    }
  for (const p of b)
    for (const edge of edgesOf(a)) {
      const on = nearestOnSegment(p, ...edge);
      if (distance(p, on) < best.mm) best = { mm: distance(p, on), on: [on, p] };
    }
  return polygonsOverlap(a, b) ? { ...best, mm: 0 } : best;
}
