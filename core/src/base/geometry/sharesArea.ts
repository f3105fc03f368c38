import { type Box, boxOf } from './box';
import type { Point } from './point';
import { segmentsCross, segmentsOf } from './polygon';

/** Closed rings by the even-odd rule: a point is in what an odd number of them holds. */
export type Rings = readonly (readonly Point[])[];

type Segment = [Point, Point];

/** Where a level line enters and leaves the rings, from left to right. */
const crossingsAt = (segments: readonly Segment[], y: number): number[] =>
  segments
    .flatMap(([a, b]) => (a.y > y === b.y > y ? [] : [a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y)]))
    .sort((p, q) => p - q);

const isInside = (segments: readonly Segment[], { x, y }: Point): boolean =>
  crossingsAt(segments, y).filter((at) => at > x).length % 2 === 1;

/** A point well inside of each ring's surroundings: the middle of the widest stretch on the level of its middle. */
function pointsWithin(rings: Rings, segments: readonly Segment[]): Point[] {
  return rings.flatMap((ring) => {
    const box = boxOf(ring);
    // Off the middle, so that a level edge there does not make it doubtful.
    const y = box.top + (box.bottom - box.top) * 0.4871;
    const at = crossingsAt(segments, y);
    let widest: Point | null = null;
    let most = 0;
    for (let i = 0; i + 1 < at.length; i += 2) {
      const [from, to] = [at[i] ?? 0, at[i + 1] ?? 0];
      if (to < box.left || from > box.right || to - from <= most) continue;
      most = to - from;
      widest = { x: (from + to) / 2, y };
    }
    return widest ? [widest] : [];
  });
}

const apart = (a: Box, b: Box): boolean =>
  a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top;

const segmentsIn = (segments: readonly Segment[], { left, top, right, bottom }: Box): Segment[] =>
  segments.filter(
    ([a, b]) =>
      Math.max(a.x, b.x) >= left &&
      Math.min(a.x, b.x) <= right &&
      Math.max(a.y, b.y) >= top &&
      Math.min(a.y, b.y) <= bottom,
  );

/** Whether two lists of segments properly cross anywhere: by a sweep from left to right. */
function anyCross(a: readonly Segment[], b: readonly Segment[]): boolean {
  const leftOf = ([p, q]: Segment) => Math.min(p.x, q.x);
  const rightOf = ([p, q]: Segment) => Math.max(p.x, q.x);
  const others = [...b].sort((p, q) => leftOf(p) - leftOf(q));
  let first = 0;
  let open: Segment[] = [];
  for (const segment of [...a].sort((p, q) => leftOf(p) - leftOf(q))) {
    for (let next = others[first]; next && leftOf(next) <= rightOf(segment); next = others[++first])
      open.push(next);
    open = open.filter((other) => rightOf(other) >= leftOf(segment));
    if (open.some((other) => segmentsCross(segment, other))) return true;
  }
  return false;
}

/**
 * Whether two regions share any area, by their true outlines and not by their boxes: where edges properly cross, or one
 * holds a point from well inside the other. Regions that only touch share none. Rings of no area share none.
 */
export function sharesArea(a: Rings, b: Rings): boolean {
  const [boxA, boxB] = [boxOf(a.flat()), boxOf(b.flat())];
  if (a.length === 0 || b.length === 0 || apart(boxA, boxB)) return false;
  const [edgesA, edgesB] = [a, b].map((rings) => rings.flatMap((ring) => segmentsOf(ring, true))) as [
    Segment[],
    Segment[],
  ];
  if (anyCross(segmentsIn(edgesA, boxB), segmentsIn(edgesB, boxA))) return true;
  return (
    pointsWithin(a, edgesA).some((p) => isInside(edgesB, p)) ||
    pointsWithin(b, edgesB).some((p) => isInside(edgesA, p))
  );
}
