import { type Point, rotate, toRad } from '../../../base/geometry/point';
import type { Baseline } from '../../../model/ticket/lettering';

/** Where a letter stands: its own middle on the baseline, mm, y down, and how far it is turned clockwise. */
export interface Standing {
  at: Point;
  turnDeg: number;
}

export interface Bend {
  baseline: Baseline;
  radiusMm: number;
  /** How far the line's baseline lies below that of the first. */
  downMm: number;
}

/** The radius of the line that lies so far below the first: smaller under an arch, larger under a bowl. */
export const radiusOfLine = ({ baseline, radiusMm, downMm }: Bend): number =>
  baseline === 'bowl' ? radiusMm + downMm : radiusMm - downMm;

/**
 * Where the letter stands whose middle is `along` mm to the right of the middle of its line. The top of an arch and of a
 * circle, and the lowest point of a bowl, is the origin on the first line.
 */
export function standingAt(along: number, bend: Bend): Standing {
  if (bend.baseline === 'line') return { at: { x: along, y: bend.downMm }, turnDeg: 0 };
  const radius = radiusOfLine(bend);
  const degrees = (along / radius) * (180 / Math.PI);
  if (bend.baseline === 'bowl')
    return {
      at: { x: radius * Math.sin(toRad(degrees)), y: radius * Math.cos(toRad(degrees)) - bend.radiusMm },
      turnDeg: -degrees,
    };
  const up = rotate({ x: 0, y: -radius }, degrees);
  return { at: { x: up.x, y: up.y + bend.radiusMm }, turnDeg: degrees };
}
