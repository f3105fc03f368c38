import { areaOf, type Clipper, type Region, type Ring, signedAreaOf } from './clip';
import { distance, type Point } from './point';

/** A triangle: its corners, and beyond the edge from corner i to the next one its neighbour there; −1 at the rim. */
export interface Triangle {
  corners: readonly [number, number, number];
  beyond: [number, number, number];
}

/** A region as triangles that share their corners, mm. */
export interface Mesh {
  points: Point[];
  triangles: Triangle[];
}

/** Points on a straight line are dropped by the triangulation: every other one is set off it by so much, mm. */
const OFF_LINE_MM = 0.002;

/** A ring with points no farther apart than this, mm, none of the new ones quite on its line; its own points stay. */
export function densified(ring: Ring, stepMm: number): Point[] {
  return ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    const far = distance(a, b);
    const steps = Math.max(1, Math.ceil(far / stepMm));
    const off = { x: ((b.y - a.y) / far) * OFF_LINE_MM, y: ((a.x - b.x) / far) * OFF_LINE_MM };
    return Array.from({ length: steps }, (_, k) => ({
      x: a.x + ((b.x - a.x) * k) / steps + (k % 2) * off.x,
      y: a.y + ((b.y - a.y) * k) / steps + (k % 2) * off.y,
    }));
  });
}

const TURNS = [0, 1, 2] as const;

/** Corners are the same where they lie on the same micrometre. */
const keyOf = ({ x, y }: Point): string => `${Math.round(x * 1000)} ${Math.round(y * 1000)}`;

function joined(triangles: readonly Ring[]): Mesh {
  const ids = new Map<string, number>();
  const points: Point[] = [];
  const idOf = (p: Point): number => {
    const known = ids.get(keyOf(p));
    if (known !== undefined) return known;
    ids.set(keyOf(p), points.length);
    return points.push(p) - 1;
  };
  const open = new Map<string, [number, 0 | 1 | 2]>();
  const made: Triangle[] = [];
  for (const ring of triangles) {
    const round = signedAreaOf(ring) < 0 ? [...ring].reverse() : ring;
    const [a = 0, b = 0, c = 0] = round.map(idOf);
    if (a === b || b === c || a === c) continue;
    const triangle: Triangle = { corners: [a, b, c], beyond: [-1, -1, -1] };
    const own = made.push(triangle) - 1;
    for (const i of TURNS) {
      const [from, to] = [triangle.corners[i], triangle.corners[((i + 1) % 3) as 0 | 1 | 2]];
      const met = open.get(`${to} ${from}`);
      const neighbour = met && made[met[0]];
      if (!met || !neighbour) open.set(`${from} ${to}`, [own, i]);
      else {
        triangle.beyond[i] = met[0];
        neighbour.beyond[met[1]] = own;
        open.delete(`${to} ${from}`);
      }
    }
  }
  return { points, triangles: made };
}

/** So much of its area may be missing where rings touch, as a share. */
const MISSING = 0.002;
const MISSING_MM2 = 0.02;

/**
 * A region as triangles with points no farther apart along its rings than this, mm: constrained Delaunay. Null where none
 * can be made of it, as of rings that touch in a bad way.
 */
export function meshOf(region: Region, stepMm: number, clip: Clipper): Mesh | null {
  const dense = stepMm === Number.POSITIVE_INFINITY ? region : region.map((ring) => densified(ring, stepMm));
  const triangles = clip.triangulate(dense);
  if (!triangles) return null;
  const whole = areaOf(dense);
  const sum = triangles.reduce((total, ring) => total + Math.abs(signedAreaOf(ring)), 0);
  return Math.abs(whole - sum) > MISSING_MM2 + MISSING * whole ? null : joined(triangles);
}
