import type { Mesh } from './mesh';
import type { Point } from './point';

type Side = 0 | 1 | 2;
const SIDES: readonly Side[] = [0, 1, 2];

const cornersOf = ({ points, triangles }: Mesh, t: number): Point[] =>
  (triangles[t]?.corners ?? []).flatMap((i) => points[i] ?? []);

const turn = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);

/** The triangle that a point lies in, else the one whose middle is nearest. */
function triangleAt(mesh: Mesh, p: Point): number {
  let [best, least] = [-1, Number.POSITIVE_INFINITY];
  for (const [t, { corners }] of mesh.triangles.entries()) {
    const [a = p, b = p, c = p] = [mesh.points[corners[0]], mesh.points[corners[1]], mesh.points[corners[2]]];
    // Triangles run round one way: a point inside lies on the same side of all three edges.
    if (turn(a, b, p) >= 0 && turn(b, c, p) >= 0 && turn(c, a, p) >= 0) return t;
    const far = Math.hypot(p.x - (a.x + b.x + c.x) / 3, p.y - (a.y + b.y + c.y) / 3);
    if (far < least) [best, least] = [t, far];
  }
  return best;
}

/** Triangles from one to another, by which side each is left; null where they do not hang together. */
function corridor(mesh: Mesh, from: number, to: number): [number, Side][] | null {
  const came = new Map<number, [number, Side] | null>([[from, null]]);
  let ring = [from];
  // Breadth first: all triangles of a shape are of a size once its points are even.
  while (ring.length > 0 && !came.has(to)) {
    const next: number[] = [];
    for (const t of ring) next.push(...reached(mesh, t, came));
    ring = next;
  }
  if (!came.has(to)) return null;
  const way: [number, Side][] = [];
  for (let step = came.get(to); step; step = came.get(step[0])) way.push(step);
  return way.reverse();
}

function reached(mesh: Mesh, t: number, came: Map<number, [number, Side] | null>): number[] {
  return SIDES.flatMap((side) => {
    const next = mesh.triangles[t]?.beyond[side] ?? -1;
    if (next < 0 || came.has(next)) return [];
    came.set(next, [t, side]);
    return [next];
  });
}

/** The shortest line through gates, each its two posts: left ones on one side of the way, right ones on the other. */
function pulled(from: Point, to: Point, gates: readonly (readonly [Point, Point])[]): Point[] {
  const posts = [...gates, [to, to] as const];
  const way = [from];
  let [apex, left, right] = [from, from, from];
  let [leftAt, rightAt] = [-1, -1];
  for (let i = 0; i < posts.length; i++) {
    const [a, b] = posts[i] ?? [to, to];
    if (turn(apex, right, b) <= 0) {
      if (apex === right || turn(apex, left, b) > 0) [right, rightAt] = [b, i];
      else {
        way.push(left);
        [apex, i] = [left, leftAt];
        [right, rightAt] = [apex, leftAt];
        continue;
      }
    }
    if (turn(apex, left, a) >= 0) {
      if (apex === left || turn(apex, right, a) < 0) [left, leftAt] = [a, i];
      else {
        way.push(right);
        [apex, i] = [right, rightAt];
        [left, leftAt] = [apex, rightAt];
      }
    }
  }
  return [...way, to];
}

/**
 * A short way from one point to another inside a shape: through its triangles, pulled tight (simple stupid funnel
 * algorithm; Mononen 2010). Points outside go by the nearest triangle. Null where the shape does not hang together there.
 */
export function routeIn(mesh: Mesh, from: Point, to: Point): Point[] | null {
  const [first, last] = [triangleAt(mesh, from), triangleAt(mesh, to)];
  if (first < 0 || last < 0) return null;
  const way = corridor(mesh, first, last);
  if (!way) return null;
  const gates = way.map(([t, side]) => {
    const corners = cornersOf(mesh, t);
    const [a, b] = [corners[side] ?? from, corners[(side + 1) % 3] ?? from];
    return [a, b] as const;
  });
  return pulled(from, to, gates);
}
