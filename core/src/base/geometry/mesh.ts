import Delaunator from 'delaunator';
import { areaOf, type Region, type Ring, signedAreaOf } from './clip';
import { distance, ORIGIN, type Point } from './point';

/** A triangle: its corners, and beyond the edge from corner i to the next one its neighbour there; −1 at the rim. */
export interface Triangle {
  corners: readonly [number, number, number];
  beyond: [number, number, number];
}

/** A region as triangles that share their corners, mm. All run round as its outer rings do. */
export interface Mesh {
  points: Point[];
  triangles: Triangle[];
}

/** A ring with points no farther apart than this, mm; its own points stay. */
export function densified(ring: Ring, stepMm: number): Point[] {
  return ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    const steps = Math.max(1, Math.ceil(distance(a, b) / stepMm));
    return Array.from({ length: steps }, (_, k) => ({
      x: a.x + ((b.x - a.x) * k) / steps,
      y: a.y + ((b.y - a.y) * k) / steps,
    }));
  });
}

/** Points on the same micrometre are one. */
const keyOf = ({ x, y }: Point): string => `${Math.round(x * 1000)} ${Math.round(y * 1000)}`;

interface Edges {
  points: Point[];
  /** Pairs of points, as the rings run. */
  edges: [number, number][];
}

function edgesOf(rings: readonly Ring[]): Edges {
  const ids = new Map<string, number>();
  const points: Point[] = [];
  const edges: [number, number][] = [];
  const idOf = (p: Point): number => {
    const key = keyOf(p);
    const known = ids.get(key) ?? points.push(p) - 1;
    ids.set(key, known);
    return known;
  };
  for (const ring of rings) {
    const own = ring.map(idOf);
    for (const [i, to] of own.entries()) {
      const from = own[(i + own.length - 1) % own.length] ?? to;
      if (from !== to) edges.push([from, to]);
    }
  }
  return { points, edges };
}

type Found = Delaunator<ArrayLike<number>>;

const endOf = ({ triangles }: Found, edge: number): number =>
  triangles[edge % 3 === 2 ? edge - 2 : edge + 1] ?? 0;

/** So often edges are halved that are none of the triangulation's: near a sharp corner it takes long. */
const MOST_ROUNDS = 4;
/** A shorter edge is not halved, mm. */
const LEAST_MM = 0.05;

/**
 * A Delaunay triangulation that has the edges of the rings among its own: those that it lacks are halved until it has
 * them (a conforming one; Shewchuk 1999, section 3). Between the legs of a very sharp corner some may be left out.
 */
function conforming(own: Edges): { found: Found; isWhole: boolean } | null {
  for (let round = 0; ; round++) {
    const { points } = own;
    const found = Delaunator.from(
      points,
      ({ x }) => x,
      ({ y }) => y,
    );
    if (found.triangles.length === 0) return null;
    const has = new Set<number>();
    const keyOfEdge = (a: number, b: number): number => Math.min(a, b) * points.length + Math.max(a, b);
    for (let edge = 0; edge < found.triangles.length; edge++)
      has.add(keyOfEdge(found.triangles[edge] ?? 0, endOf(found, edge)));
    const lacks = ([a, b]: readonly [number, number]): boolean => !has.has(keyOfEdge(a, b));
    const isShort = ([a, b]: readonly [number, number]): boolean =>
      distance(points[a] ?? ORIGIN, points[b] ?? ORIGIN) < LEAST_MM;
    if (round === MOST_ROUNDS || !own.edges.some((edge) => lacks(edge) && !isShort(edge)))
      return { found, isWhole: !own.edges.some(lacks) };
    own.edges = own.edges.flatMap((edge): [number, number][] => {
      const [a, b] = [points[edge[0]], points[edge[1]]];
      if (!a || !b || !lacks(edge) || isShort(edge)) return [edge];
      const half = points.push({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }) - 1;
      return [
        [edge[0], half],
        [half, edge[1]],
      ];
    });
  }
}

/** Which triangles lie inside: those on the inner side of a ring's edge, and all that hang together with them. */
function insides(found: Found, { edges, points }: Edges): boolean[] {
  const { triangles, halfedges } = found;
  const count = points.length;
  const ring = new Set(edges.map(([a, b]) => a * count + b));
  const isOnRing = (edge: number): boolean => {
    const [a, b] = [triangles[edge] ?? 0, endOf(found, edge)];
    return ring.has(a * count + b) || ring.has(b * count + a);
  };
  // The package turns its triangles against ours: seen from inside, an edge runs from the ring's second point to its first.
  const isInner = (edge: number): boolean => ring.has(endOf(found, edge) * count + (triangles[edge] ?? 0));
  const isIn: boolean[] = Array.from({ length: triangles.length / 3 }, () => false);
  const todo: number[] = [];
  const take = (triangle: number): void => {
    if (isIn[triangle]) return;
    isIn[triangle] = true;
    todo.push(triangle);
  };
  for (let edge = 0; edge < triangles.length; edge++) if (isInner(edge)) take(Math.floor(edge / 3));
  for (let triangle = todo.pop(); triangle !== undefined; triangle = todo.pop())
    for (let edge = triangle * 3; edge < triangle * 3 + 3; edge++) {
      const over = halfedges[edge] ?? -1;
      if (over >= 0 && !isOnRing(edge)) take(Math.floor(over / 3));
    }
  return isIn;
}

/** Which triangles lie inside, by their middles: where some edges of the rings are not the triangulation's own. */
function insidesByMiddle({ triangles }: Found, { edges, points }: Edges): boolean[] {
  return Array.from({ length: triangles.length / 3 }, (_, t) => {
    const corners = [0, 1, 2].map((k) => points[triangles[3 * t + k] ?? 0] ?? ORIGIN);
    const x = corners.reduce((sum, p) => sum + p.x, 0) / 3;
    const y = corners.reduce((sum, p) => sum + p.y, 0) / 3;
    let isIn = false;
    for (const [from, to] of edges) {
      const [a, b] = [points[from] ?? ORIGIN, points[to] ?? ORIGIN];
      if (a.y > y !== b.y > y && x < a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y)) isIn = !isIn;
    }
    return isIn;
  });
}

/** The triangles inside, turned as the rings are, with their neighbours. */
function joined(found: Found, own: Edges, isIn: readonly boolean[]): Mesh {
  const { triangles, halfedges } = found;
  const places = new Map<number, number>();
  for (const [i, is] of isIn.entries()) if (is) places.set(i, places.size);
  const made = [...places.keys()].map((t): Triangle => {
    const [e0, e1, e2] = [3 * t, 3 * t + 1, 3 * t + 2];
    const corner = (edge: number): number => triangles[edge] ?? 0;
    const beyond = (edge: number): number => places.get(Math.floor((halfedges[edge] ?? -3) / 3)) ?? -1;
    // Backwards: corners 0, 2, 1, so that the edges are those from 2 to 0, from 1 to 2, from 0 to 1, the other way.
    return { corners: [corner(e0), corner(e2), corner(e1)], beyond: [beyond(e2), beyond(e1), beyond(e0)] };
  });
  return { points: own.points, triangles: made };
}

/** So much of its area may be missing where rings touch, as a share. */
const MISSING = 0.01;
const MISSING_MM2 = 0.05;

/**
 * A region as triangles with points no farther apart along its rings than this, mm: conforming Delaunay. Null where none can be made of it, as of rings that touch in a bad way.
 */
export function meshOf(region: Region, stepMm: number): Mesh | null {
  const dense = stepMm === Number.POSITIVE_INFINITY ? region : region.map((ring) => densified(ring, stepMm));
  const edges = edgesOf(dense);
  const found = edges.points.length < 3 ? null : conforming(edges);
  if (!found) return null;
  const { found: triangles, isWhole } = found;
  const isIn = isWhole ? insides(triangles, edges) : insidesByMiddle(triangles, edges);
  const mesh = joined(triangles, edges, isIn);
  const sum = mesh.triangles.reduce((total, { corners }) => {
    const ring = corners.map((i) => mesh.points[i] ?? { x: 0, y: 0 });
    return total + signedAreaOf(ring);
  }, 0);
  const whole = areaOf(dense);
  return Math.abs(whole - sum) > MISSING_MM2 + MISSING * whole ? null : mesh;
}
