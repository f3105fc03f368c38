/** A point in mm. In the piece frame x runs to the viewer's right and y down. */
export interface Point {
  x: number;
  y: number;
}

export const ORIGIN: Point = { x: 0, y: 0 };
const RAD_PER_DEG = Math.PI / 180;

export const plus = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
export const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
export const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
export const toRad = (degrees: number): number => degrees * RAD_PER_DEG;

/**
 * Turns a point about the origin. Positive is clockwise as seen, because y runs down.
 * Quarter turns are exact, so that a box turned by 90° keeps its sides to the last bit.
 */
export function turn(point: Point, degrees: number): Point {
  const [cos, sin] = turnCosSin(degrees);
  return { x: point.x * cos - point.y * sin, y: point.x * sin + point.y * cos };
}

/** Turns points about the origin, as `turn` does, and moves them. The angle is looked up once. */
export function turnedAndMoved(points: readonly Point[], degrees: number, to: Point): Point[] {
  const [cos, sin] = turnCosSin(degrees);
  return points.map((p) => ({ x: p.x * cos - p.y * sin + to.x, y: p.x * sin + p.y * cos + to.y }));
}

function turnCosSin(degrees: number): [number, number] {
  switch (((degrees % 360) + 360) % 360) {
    case 0:
      return [1, 0];
    case 90:
      return [0, 1];
    case 180:
      return [-1, 0];
    case 270:
      return [0, -1];
    default:
      return [Math.cos(toRad(degrees)), Math.sin(toRad(degrees))];
  }
}

/** Nearest distance from a point to the segment from a to b; the end points where they coincide. */
export function distanceToSegment(point: Point, a: Point, b: Point): number {
  const along = minus(b, a);
  const squared = along.x * along.x + along.y * along.y;
  if (squared === 0) return distance(point, a);
  const t = ((point.x - a.x) * along.x + (point.y - a.y) * along.y) / squared;
  const clamped = Math.min(1, Math.max(0, t));
  return distance(point, { x: a.x + clamped * along.x, y: a.y + clamped * along.y });
}
