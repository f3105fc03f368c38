import svgpath from 'svgpath';
import type { Point } from '../../../base/geometry/point';

/** One subpath as straight pieces, in mm. */
export interface Polyline {
  points: Point[];
  closed: boolean;
}

/** Largest distance between a curve and its straight pieces, mm: well below a thread's width. */
const TOLERANCE_MM = 0.05;

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
function piecesFor(p: readonly Point[]): number {
  const [a, b, c, d] = p as [Point, Point, Point, Point];
  const bend = Math.max(
    Math.hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y),
    Math.hypot(b.x - 2 * c.x + d.x, b.y - 2 * c.y + d.y),
  );
  return Math.min(200, Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / TOLERANCE_MM))));
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

function pointsOf(segment: Segment, at: Point): Point[] {
  const [kind, a = 0, b = 0] = segment;
  if (kind === 'H') return [{ x: a, y: at.y }];
  if (kind === 'V') return [{ x: at.x, y: a }];
  if (kind === 'L') return [{ x: a, y: b }];
  const controls = controlsOf(segment, at);
  const pieces = piecesFor(controls);
  return Array.from({ length: pieces }, (_, i) => cubic(controls, (i + 1) / pieces));
}

/**
 * Straight pieces of a path under its transforms (outermost first), in the outermost frame.
 * Null when the path data cannot be read.
 */
export function flattenPath(d: string, transforms: readonly string[]): Polyline[] | null {
  let path = svgpath(d);
  for (const transform of [...transforms].reverse()) if (transform !== '') path = path.transform(transform);
  path = path.abs().unshort().unarc();
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
    const next = pointsOf(segment, at);
    line.points.push(...next);
    at = next[next.length - 1] ?? at;
  });
  return lines.filter((l) => l.points.length > 1);
}

/** How much lengths grow under the transforms: the square root of the area's growth. */
export function scaleOf(transforms: readonly string[]): number {
  const square = flattenPath('M0 0H1000V1000H0Z', transforms)?.[0]?.points ?? [];
  const [a, b, , d] = square;
  if (!a || !b || !d) return 1;
  const area = Math.abs((b.x - a.x) * (d.y - a.y) - (b.y - a.y) * (d.x - a.x));
  return Math.sqrt(area) / 1000;
}
