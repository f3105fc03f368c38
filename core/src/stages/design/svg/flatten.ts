import svgpath from 'svgpath';
import type { Point } from '../../../base/geometry/point';

/** One subpath as straight pieces, in mm. */
export interface Polyline {
  points: Point[];
  closed: boolean;
}

type Segment = [string, ...number[]];

function cubic(p: readonly Point[], t: number): Point {
  const [a, b, c, d] = p as [Point, Point, Point, Point];
  const u = 1 - t;
  const w = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t] as const;
  return {
    x: w[0] * a.x + w[1] * b.x + w[2] * c.x + w[3] * d.x,
    y: w[0] * a.y + w[1] * b.y + w[2] * c.y + w[3] * d.y,
  };
}

/** Pieces needed so that the chord error stays below the tolerance (second-difference bound). */
function piecesFor(p: readonly Point[], tolerance: number): number {
  const [a, b, c, d] = p as [Point, Point, Point, Point];
  const bend = Math.max(
    Math.hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y),
    Math.hypot(b.x - 2 * c.x + d.x, b.y - 2 * c.y + d.y),
  );
  return Math.min(200, Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / tolerance))));
}

function controlsOf(segment: Segment, at: Point): Point[] {
  const [kind, ...n] = segment;
  const point = (i: number): Point => ({ x: n[i] ?? 0, y: n[i + 1] ?? 0 });
  if (kind === 'C') return [at, point(0), point(2), point(4)];
  const [q, end] = [point(0), point(2)];
  const towards = (from: Point): Point => ({
    x: from.x + (2 / 3) * (q.x - from.x),
    y: from.y + (2 / 3) * (q.y - from.y),
  });
  return [at, towards(at), towards(end), end];
}

function pointsOf(segment: Segment, at: Point, tolerance: number): Point[] {
  const [kind, a = 0, b = 0] = segment;
  if (kind === 'H') return [{ x: a, y: at.y }];
  if (kind === 'V') return [{ x: at.x, y: a }];
  if (kind === 'L') return [{ x: a, y: b }];
  const controls = controlsOf(segment, at);
  const pieces = piecesFor(controls, tolerance);
  return Array.from({ length: pieces }, (_, i) => cubic(controls, (i + 1) / pieces));
}

/**
 * Straight pieces of a path, in its own units; no chord is farther from its curve than the tolerance. A subpath of a
 * single point stays one. Null when the path data cannot be read.
 */
export function flattenPath(d: string, tolerance: number): Polyline[] | null {
  const path = svgpath(d).abs().unshort().unarc();
  if ((path as unknown as { err: string }).err) return null;
  const lines: Polyline[] = [];
  let line: Polyline | null = null;
  let at: Point = { x: 0, y: 0 };
  path.iterate((raw) => {
    const segment = raw as unknown as Segment;
    if (segment[0] === 'M') {
      at = { x: segment[1] ?? 0, y: segment[2] ?? 0 };
      line = { points: [at], closed: false };
      lines.push(line);
      return;
    }
    if (line === null) {
      line = { points: [at], closed: false };
      lines.push(line);
    }
    if (segment[0] === 'Z') {
      line.closed = true;
      at = line.points[0] ?? at;
      line = null;
      return;
    }
    const next = pointsOf(segment, at, tolerance);
    line.points.push(...next);
    at = next[next.length - 1] ?? at;
  });
  return lines;
}
