import { add, type Point, rotate } from '../../base/geometry/point';
import type { DisplayUnits } from '../../base/units/length';
import type { PlaceInput } from '../../model/ticket/place';
import type { PlacePlan } from './planPlace';
import { snapOffset } from './snap';

/**
 * Where every copy of the design lies, the one of a single design included. Piece frame, mm. A plan frozen before
 * there were copies has one.
 */
export function posesOf(
  place: Pick<PlacePlan, 'centre' | 'turnDeg' | 'footprint'> & Partial<Pick<PlacePlan, 'copies'>>,
): { centre: Point; turnDeg: number; footprint: readonly Point[] }[] {
  const { copies = [], centre, turnDeg, footprint } = place;
  return copies.length > 0 ? copies : [{ centre, turnDeg, footprint }];
}

const toTenths = ({ x, y }: Point): Point => ({ x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 });

/**
 * What changes when one copy is dragged by so many mm from where it lay at `start`. Of a scatter that copy alone
 * moves, freely; otherwise all move by the one offset, each in its own turn, snapped to the rule and to the grid
 * unless snapping was left.
 */
export function movedCopy(
  start: PlaceInput,
  place: PlacePlan,
  index: number,
  by: Point,
  snap: { units: DisplayUnits; withinMm: number },
): Partial<PlaceInput> {
  const { spots } = start.scatter;
  if (place.placement.copies === 'scatter' && spots.length > 0) {
    const moved = spots.map((s, i) => (i === index ? { ...s, x: s.x + by.x, y: s.y + by.y } : s));
    return { scatter: { ...start.scatter, spots: moved } };
  }
  const poses = posesOf(place);
  const turned = (poses[index]?.turnDeg ?? 0) - (poses[0]?.turnDeg ?? 0);
  const offset = add(start.offset, rotate(by, -turned));
  return { offset: start.snaps ? snapOffset(offset, snap.units, snap.withinMm) : toTenths(offset) };
}
