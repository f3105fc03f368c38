/** A point in mm. In the piece frame x runs to the viewer's right and y down. */
export interface Point {
  x: number;
  y: number;
}

export const ORIGIN: Point = { x: 0, y: 0 };
const RAD_PER_DEG = Math.PI / 180;

export const add = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
export const subtract = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
/** The same way back; never −0. */
export const negate = (p: Point): Point => ({ x: 0 - p.x, y: 0 - p.y });
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
export const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
/** The same turn from 0 up to 360°. */
export const fullTurnDeg = (degrees: number): number => ((degrees % 360) + 360) % 360;
/** The same turn the shorter way round: from −180 up to 180°. */
export const shortTurnDeg = (degrees: number): number => fullTurnDeg(degrees + 180) - 180;
export const toRad = (degrees: number): number => degrees * RAD_PER_DEG;

/**
 * Rotates a point about the origin. Positive is clockwise as seen, because y runs down.
 * Quarter turns are exact, so that a box turned by 90° keeps its sides to the last bit.
 */
export function rotate(point: Point, degrees: number): Point {
  const [cos, sin] = turnCosSin(degrees);
  return { x: point.x * cos - point.y * sin, y: point.x * sin + point.y * cos };
}

/** Rotates points about the origin, as `rotate` does, and moves them. The angle is looked up once. */
export function turnedAndMoved(points: readonly Point[], degrees: number, to: Point): Point[] {
  const [cos, sin] = turnCosSin(degrees);
  return points.map((p) => ({ x: p.x * cos - p.y * sin + to.x, y: p.x * sin + p.y * cos + to.y }));
}

function turnCosSin(degrees: number): [number, number] {
  switch (fullTurnDeg(degrees)) {
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

/** The point of the segment from a to b nearest to a point; their own place where they coincide. */
export function nearestOnSegment(point: Point, a: Point, b: Point): Point {
  const along = subtract(b, a);
  const squared = dot(along, along);
  if (squared === 0) return a;
  const t = Math.min(1, Math.max(0, dot(subtract(point, a), along) / squared));
  return { x: a.x + t * along.x, y: a.y + t * along.y };
}

/** Nearest distance from a point to the segment from a to b. */
export const distanceToSegment = (point: Point, a: Point, b: Point): number =>
  distance(point, nearestOnSegment(point, a, b));
