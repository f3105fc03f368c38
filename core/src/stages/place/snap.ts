import type { Point } from '../../base/geometry/point';
import { type DisplayUnits, MM_PER_INCH } from '../../base/units/length';

/** The grid a dragged design falls on: eighths of an inch, or 5 mm. */
export const dragGridMm = (units: DisplayUnits): number => (units.system === 'in' ? MM_PER_INCH / 8 : 5);

/**
 * The offset a drag comes to rest at, in mm from the rule: nought within `snapMm` of the rule,
 * else the nearest whole step of the grid, each axis on its own.
 */
export function snapOffset(offset: Point, units: DisplayUnits, snapMm: number): Point {
  const grid = dragGridMm(units);
  const snap = (v: number) => (Math.abs(v) <= snapMm ? 0 : Math.round(v / grid) * grid);
  return { x: snap(offset.x), y: snap(offset.y) };
}
