import type { Mesh, Triangle } from '../../../base/geometry/mesh';
import { distance, distanceToSegment, type Point } from '../../../base/geometry/point';

export type Side = 0 | 1 | 2;
const SIDES: readonly Side[] = [0, 1, 2];
const after = (side: Side): Side => ((side + 1) % 3) as Side;

/**
 * Triangles, and what stands in for each side: an outline from its first corner to its second, the rim itself or what was
 * cut off beyond it; null where another triangle goes on.
 */
export interface Pruned {
  mesh: Mesh;
  outlines: (readonly number[] | null)[][];
  /** Triangles that were cut off. */
  gone: Set<number>;
}

/** A spur that stands out by less than this share of its foot is a corner, no column of its own. */
const SPUR = 0.8;
/** What goes on for so many triangles is no spur. */
const MOST_TRIANGLES = 400;

export const openSides = ({ outlines }: Pruned, t: number): Side[] =>
  SIDES.filter((side) => outlines[t]?.[side] === null);

export const triangleOf = ({ mesh }: Pruned, t: number): Triangle => {
  const triangle = mesh.triangles[t];
  if (!triangle) throw new Error(`assertion failed: no triangle ${t}`);
  return triangle;
};

/** The corners of a side, in the order round its triangle. */
export function edgeOf(pruned: Pruned, t: number, side: Side): [number, number] {
  const { corners } = triangleOf(pruned, t);
  return [corners[side], corners[after(side)]];
}

/** Over an open side: the triangle there, and by which of its sides one comes in. */
export function over(pruned: Pruned, t: number, side: Side): { t: number; side: Side } {
  const next = triangleOf(pruned, t).beyond[side];
  const [a, b] = edgeOf(pruned, t, side);
  const back = SIDES.find((one) => {
    const [c, d] = edgeOf(pruned, next, one);
    return c === b && d === a;
  });
  if (back === undefined) throw new Error('assertion failed: a side without its other side');
  return { t: next, side: back };
}

/** The outline of a triangle from behind one side round to before it. */
export function roundFrom({ outlines }: Pruned, t: number, side: Side): number[] {
  const [first, second] = [after(side), after(after(side))];
  return [...(outlines[t]?.[first] ?? []), ...(outlines[t]?.[second] ?? []).slice(1)];
}

/** How a triangle with two open sides is gone through: out by which side, and which is the third. */
export function through(pruned: Pruned, t: number, back: Side): { on: Side; third: Side } {
  const on = openSides(pruned, t).find((side) => side !== back) ?? back;
  return { on, third: SIDES.find((side) => side !== back && side !== on) ?? back };
}

/** A spur: the junction it hangs on and by which side, the outline round it, how far it stands out of its foot. */
interface Spur {
  t: number;
  side: Side;
  outline: number[];
  share: number;
  triangles: number[];
}

function shareOf(points: readonly Point[], outline: readonly number[]): number {
  const [a, b] = [points[outline[0] ?? 0], points[outline[outline.length - 1] ?? 0]];
  if (!a || !b) return Number.POSITIVE_INFINITY;
  let reach = 0;
  for (const i of outline) reach = Math.max(reach, distanceToSegment(points[i] ?? a, a, b));
  return reach / Math.max(1e-6, distance(a, b));
}

/** From an end triangle to the junction that its column hangs on; null where it ends at another end, or goes on for long. */
function spurFrom(pruned: Pruned, tip: number): Spur | null {
  const [first] = openSides(pruned, tip);
  if (first === undefined) return null;
  let at = { t: tip, side: first };
  const ahead: number[] = [];
  const behind = roundFrom(pruned, tip, first);
  const triangles = [tip];
  for (let steps = 0; steps < MOST_TRIANGLES; steps++) {
    const next = over(pruned, at.t, at.side);
    const open = openSides(pruned, next.t).length;
    if (open < 2) return null;
    if (open === 3) {
      const outline = [...ahead.reverse(), ...behind];
      return { ...next, outline, triangles, share: shareOf(pruned.mesh.points, outline) };
    }
    const { on, third } = through(pruned, next.t, next.side);
    const rim = pruned.outlines[next.t]?.[third] ?? [];
    if (after(next.side) === third) behind.push(...rim.slice(1));
    else ahead.push(...rim.slice(0, -1).reverse());
    triangles.push(next.t);
    at = { t: next.t, side: on };
  }
  return null;
}

/** Cuts off spur after spur, the smallest first, until what is left are columns. */
function cutSpurs(pruned: Pruned): void {
  const spurs = new Map<number, Spur>();
  const look = (tip: number): void => {
    const spur = openSides(pruned, tip).length === 1 ? spurFrom(pruned, tip) : null;
    if (spur && spur.share < SPUR) spurs.set(tip, spur);
    else spurs.delete(tip);
  };
  for (const t of pruned.outlines.keys()) look(t);
  while (spurs.size > 0) {
    const least = [...spurs.values()].reduce((best, spur) => (spur.share < best.share ? spur : best));
    // Both corners of an end go, so that the column keeps its direction; of three spurs one is the column.
    const there = [...spurs]
      .filter(([, spur]) => spur.t === least.t)
      .sort(([, a], [, b]) => a.share - b.share);
    for (const [tip, spur] of there.slice(0, 2)) {
      spurs.delete(tip);
      cutOff(pruned, spur);
    }
    // Whoever hung on that junction now hangs on another, or on none.
    for (const [tip, spur] of [...spurs]) if (spur.t === least.t) look(tip);
    look(least.t);
  }
}

function cutOff(pruned: Pruned, { t, side, outline, triangles }: Spur): void {
  for (const gone of triangles) pruned.gone.add(gone);
  const sides = pruned.outlines[t];
  if (sides) sides[side] = outline;
}

/**
 * The triangles of a shape with the spurs cut off that stand in its corners: what is left runs along its columns (chordal
 * axis and its pruning; Prasad 1997). Triangles with two open sides are along a column, with three where columns meet,
 * with one at an end.
 */
export function prunedMesh(mesh: Mesh): Pruned {
  const outlines = mesh.triangles.map(({ corners, beyond }) =>
    SIDES.map((side) => (beyond[side] < 0 ? [corners[side], corners[after(side)]] : null)),
  );
  const pruned = { mesh, outlines, gone: new Set<number>() };
  cutSpurs(pruned);
  return pruned;
}
