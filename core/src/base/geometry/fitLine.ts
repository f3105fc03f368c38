import type { Point } from './point';

/** A nearly upright line: x = offset + slope · y, in mm. */
export interface UprightLine {
  offset: number;
  slope: number;
}

/**
 * Least-squares line x = a + b·y through points of a nearly upright line.
 * One point, or points at one height, give the upright line through their mean; none gives x = 0.
 */
export function fitUprightLine(points: readonly Point[]): UprightLine {
  const n = points.length;
  if (n === 0) return { offset: 0, slope: 0 };
  const meanX = points.reduce((sum, p) => sum + p.x, 0) / n;
  const meanY = points.reduce((sum, p) => sum + p.y, 0) / n;
  const spread = points.reduce((sum, p) => sum + (p.y - meanY) ** 2, 0);
  if (spread === 0) return { offset: meanX, slope: 0 };
  const slope = points.reduce((sum, p) => sum + (p.y - meanY) * (p.x - meanX), 0) / spread;
  return { offset: meanX - slope * meanY, slope };
}

/** Lean from the upright in degrees; positive leans clockwise going up (to the right at the top). */
export function leanDegOf(line: UprightLine): number {
  return (Math.atan(-line.slope) * 180) / Math.PI + 0;
}
