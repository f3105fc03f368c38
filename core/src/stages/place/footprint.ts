import { type Box, boxOf } from '../../base/geometry/box';
import type { Point } from '../../base/geometry/point';
import {
  type Clearance,
  clearanceBetween,
  clearanceToLine,
  overhang,
  placed,
  polygonsOverlap,
} from '../../base/geometry/polygon';
import type { DesignFacts } from '../design/designFacts';
import type { PieceOutline } from '../piece/geometry';

/** The nearest thing to a footprint, and by how much. Negative when the footprint lies over it. */
export interface Nearest {
  name: string;
  clearance: Clearance;
  crossed: boolean;
}

/** The design's outline on the piece. Its hull in mm about the visible centre, turned clockwise. */
export function footprintOf(facts: DesignFacts, centre: Point, turnDeg: number): Point[] {
  return placed(facts.hull, turnDeg, centre);
}

/** Distance between two boxes, mm: nothing in them is nearer. */
function boxGap(a: Box, b: Box): number {
  const dx = Math.max(0, b.left - a.right, a.left - b.right);
  const dy = Math.max(0, b.top - a.bottom, a.top - b.bottom);
  return Math.hypot(dx, dy);
}

interface Thing {
  name: string;
  /** No point of it is nearer than this. */
  atLeast: number;
  judge: () => Nearest;
}

function thingsBy(footprint: readonly Point[], outline: PieceOutline): Thing[] {
  const box = boxOf(footprint);
  const areas = outline.noGo.map(
    ({ name, area }): Thing => ({
      name,
      atLeast: boxGap(box, boxOf(area)),
      judge: () => ({
        name,
        clearance: clearanceBetween(footprint, area),
        crossed: polygonsOverlap(footprint, area),
      }),
    }),
  );
  const seams = outline.seams.map(
    ({ name, line }): Thing => ({
      name,
      atLeast: boxGap(box, boxOf(line)),
      judge: () => {
        const clearance = clearanceToLine(footprint, line);
        return { name, clearance, crossed: clearance.mm === 0 };
      },
    }),
  );
  return [...areas, ...seams].sort((a, b) => a.atLeast - b.atLeast);
}

/**
 * Seams and no-go areas by their distance from the footprint, the nearest first. In mm. The nearest is always
 * among them; what is farther off than `withinMm` besides may be left out.
 */
export function nearestThings(
  footprint: readonly Point[],
  outline: PieceOutline,
  withinMm: number,
): Nearest[] {
  const byName = new Map<string, Nearest>();
  let nearest = Infinity;
  for (const { name, atLeast, judge } of thingsBy(footprint, outline)) {
    if (atLeast > Math.max(nearest, withinMm)) break;
    const thing = judge();
    nearest = Math.min(nearest, thing.clearance.mm);
    const before = byName.get(name);
    if (!before || thing.clearance.mm < before.clearance.mm) byName.set(name, thing);
  }
  return [...byName.values()].sort((a, b) => a.clearance.mm - b.clearance.mm);
}

/** How far the footprint hangs off the piece, or out of the line it must stay inside; null when it lies well. */
export const offPiece = (footprint: readonly Point[], outline: PieceOutline): Clearance | null =>
  overhang(footprint, outline.within?.area ?? outline.outline);

const near = (box: Box, points: readonly Point[], mm: number): boolean => {
  const other = boxOf(points);
  return (
    other.left <= box.right + mm &&
    other.right >= box.left - mm &&
    other.top <= box.bottom + mm &&
    other.bottom >= box.top - mm
  );
};

/** Whether a footprint lies on the piece with at least this much room, in mm, to everything. */
export function isClear(footprint: readonly Point[], outline: PieceOutline, leastMm: number): boolean {
  const box = boxOf(footprint);
  for (const { area } of outline.noGo) {
    if (
      near(box, area, leastMm) &&
      (polygonsOverlap(footprint, area) || clearanceBetween(footprint, area).mm < leastMm)
    )
      return false;
  }
  for (const { line } of outline.seams) {
    if (near(box, line, leastMm) && clearanceToLine(footprint, line).mm < leastMm) return false;
  }
  return offPiece(footprint, outline) === null;
}
