import { add, type Point, rotate, shortTurnDeg, subtract } from '../base/geometry/point';
import type { AgainQuestion, HandMove, HandWay, HoopAgain } from '../stages/mount/hoopAgain';

const WAYS: Record<HandWay, Point> = {
  'to the left': { x: -1, y: 0 },
  'to the right': { x: 1, y: 0 },
  'away from you': { x: 0, y: -1 },
  'towards you': { x: 0, y: 1 },
};
const pointOf = ({ mm: by, way }: HandMove): Point => ({ x: WAYS[way].x * by, y: WAYS[way].y * by });

/**
 * How the piece lies once a hand has followed the advice to the letter: the turn about the centre at which the mark
 * has gone so far that way (the smaller of the two there are), then the whole of it moved.
 */
export function followHoopAgain(
  q: AgainQuestion,
  { pivot, whole }: HoopAgain,
): { turnDeg: number; centre: Point } {
  const centre = whole.map(pointOf).reduce(add, q.centre);
  const at = pivot && q.marks.find(({ mark }) => mark === pivot.mark)?.at;
  if (!pivot || !at) return { turnDeg: q.turnDeg, centre };
  const from = rotate(subtract(at, q.designCentre), q.turnDeg);
  const [radius, start] = [Math.hypot(from.x, from.y), Math.atan2(from.y, from.x)];
  const to = add(from, pointOf(pivot));
  const level = pivot.way === 'to the left' || pivot.way === 'to the right';
  const share = Math.max(-1, Math.min(1, (level ? to.x : to.y) / radius));
  const angles = level
    ? [Math.acos(share), -Math.acos(share)]
    : [Math.asin(share), Math.PI - Math.asin(share)];
  const [least = 0] = angles
    .map((angle) => shortTurnDeg(((angle - start) * 180) / Math.PI))
    .sort((a, b) => Math.abs(a) - Math.abs(b));
  return { turnDeg: q.turnDeg + least, centre };
}
