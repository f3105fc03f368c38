import { polygonHull } from 'd3-polygon';
import { boxOf } from './box';
import { distanceToSegment, type Point, turnedAndMoved } from './point';

/** A closed polygon in mm, first point not repeated. */
export type Polygon = readonly Point[];

/** Convex hull, by Andrew's monotone chain (d3-polygon). Fewer than three distinct points come back as they are. */
export function hullOf(points: readonly Point[]): Point[] {
  return polygonHull(points.map((p) => [p.x, p.y]))?.map(([x, y]) => ({ x, y })) ?? [...points];
}

/** The polygon turned about the origin, then moved. */
export function placed(polygon: Polygon, degrees: number, to: Point): Point[] {
  return turnedAndMoved(polygon, degrees, to);
}

/**
 * Whether a point lies inside the polygon, by counting crossings of a ray. A point exactly on an edge may go either
 * way. Ours, since d3-polygon's takes pairs of numbers: copying every polygon costs more than asking.
 */
export function containsPoint(polygon: Polygon, point: Point): boolean {
  let inside = false;
  let before = polygon[polygon.length - 1];
  for (const at of polygon) {
    if (before && at.y > point.y !== before.y > point.y) {
      const x = ((before.x - at.x) * (point.y - at.y)) / (before.y - at.y) + at.x;
      if (point.x < x) inside = !inside;
    }
    before = at;
  }
  return inside;
}

/** Pairs of neighbouring points; a closed ring also joins the last to the first. */
export function segmentsOf(points: readonly Point[], closed: boolean): [Point, Point][] {
  const segments: [Point, Point][] = [];
  for (let i = 0; i + 1 < points.length; i++) {
    const [a, b] = [points[i], points[i + 1]];
    if (a && b) segments.push([a, b]);
  }
  const [first, last] = [points[0], points[points.length - 1]];
  if (closed && first && last && points.length > 2) segments.push([last, first]);
  return segments;
}

const cross = (o: Point, a: Point, b: Point) => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/** Whether two segments properly cross; touching ends do not count. */
export function segmentsCross([a, b]: [Point, Point], [c, d]: [Point, Point]): boolean {
  return cross(a, b, c) * cross(a, b, d) < 0 && cross(c, d, a) * cross(c, d, b) < 0;
}

export interface Clearance {
  /** Least distance in mm; negative when the polygon and the line overlap, by how far the polygon reaches over. */
  mm: number;
  /** The polygon's point where it is least. */
  at: Point;
}

/** Squared distance between the boxes of two segments: no points of the segments are nearer. */
function boxGapSquared([a, b]: [Point, Point], [c, d]: [Point, Point]): number {
  const dx = Math.max(0, Math.min(a.x, b.x) - Math.max(c.x, d.x), Math.min(c.x, d.x) - Math.max(a.x, b.x));
  const dy = Math.max(0, Math.min(a.y, b.y) - Math.max(c.y, d.y), Math.min(c.y, d.y) - Math.max(a.y, b.y));
  return dx * dx + dy * dy;
}

/** The nearer of `best` and the distance of two segments, with the point of the first where it is. */
function nearer(best: Clearance, edge: [Point, Point], piece: [Point, Point]): Clearance {
  if (segmentsCross(edge, piece)) return { mm: 0, at: edge[0] };
  const candidates: [number, Point][] = [
    [distanceToSegment(edge[0], piece[0], piece[1]), edge[0]],
    [distanceToSegment(edge[1], piece[0], piece[1]), edge[1]],
    [distanceToSegment(piece[0], edge[0], edge[1]), piece[0]],
    [distanceToSegment(piece[1], edge[0], edge[1]), piece[1]],
  ];
  for (const [mm, at] of candidates) if (mm < best.mm) best = { mm, at };
  return best;
}

/**
 * Least distance from a polygon's edge to a line (open polyline), in mm. Zero where they cross; infinite
 * without a line. Exact: the least distance of two segments that do not cross is at an end of one. Pairs
 * whose boxes are farther apart than the best so far are passed over.
 */
export function clearanceToLine(polygon: Polygon, line: readonly Point[]): Clearance {
  let best: Clearance = { mm: Infinity, at: polygon[0] ?? { x: 0, y: 0 } };
  const pieces = segmentsOf(line, false);
  for (const edge of segmentsOf(polygon, true)) {
    for (const piece of pieces) {
      if (boxGapSquared(edge, piece) < best.mm * best.mm) best = nearer(best, edge, piece);
    }
  }
  return best;
}

/** The farthest any vertex of `inner` lies outside `outer`, in mm; 0 when all lie inside. */
export function overhang(inner: Polygon, outer: Polygon): Clearance | null {
  let worst: Clearance | null = null;
  const ring = segmentsOf(outer, true);
  for (const point of inner) {
    if (containsPoint(outer, point)) continue;
    const out = Math.min(...ring.map(([a, b]) => distanceToSegment(point, a, b)));
    if (out > 1e-6 && (worst === null || out > worst.mm)) worst = { mm: out, at: point };
  }
  return worst;
}

/** Whether two polygons share any area. */
export function polygonsOverlap(a: Polygon, b: Polygon): boolean {
  const [boxA, boxB] = [boxOf(a), boxOf(b)];
  if (boxA.right < boxB.left || boxB.right < boxA.left || boxA.bottom < boxB.top || boxB.bottom < boxA.top)
    return false;
  const edgesB = segmentsOf(b, true);
  if (
    segmentsOf(a, true).some((edge) =>
      edgesB.some((other) => boxGapSquared(edge, other) === 0 && segmentsCross(edge, other)),
    )
  )
    return true;
  return a.some((p) => containsPoint(b, p)) || b.some((p) => containsPoint(a, p));
}

/** Least distance between two polygons; 0 when they overlap. */
export function clearanceBetween(a: Polygon, b: Polygon): Clearance {
  if (polygonsOverlap(a, b)) return { mm: 0, at: a[0] ?? { x: 0, y: 0 } };
  const first = b[0];
  return clearanceToLine(a, first ? [...b, first] : b);
}
