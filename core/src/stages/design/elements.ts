import { boxOf, centreOf } from '../../base/geometry/box';
import { add, type Point, subtract } from '../../base/geometry/point';
import { clearanceBetween, hullOf, type Polygon } from '../../base/geometry/polygon';
import type { Artwork } from '../../model/ticket/artwork';
import { mappedShape, pointsOfPath } from './pathData';
import { withWordsWhole } from './words';

/** A part of a drawing that stands by itself: a word, a leaf, a paw. mm about the design's centre at 100 %. */
export interface DesignElement {
  /** Its paths, by their place in the drawing. */
  paths: number[];
  /** Convex hull, lines with their width. */
  hull: Polygon;
}

/** Shapes nearer than this belong together, mm: the eye takes them for one. */
const TOGETHER_MM = 2;
function hullOfPath({ d, strokeMm }: Artwork['paths'][number]): Point[] {
  const half = (strokeMm ?? 0) / 2;
  const corners = [-half, half].flatMap((x) => [-half, half].map((y) => ({ x, y })));
  return hullOf(pointsOfPath(d).flatMap((p) => (half === 0 ? [p] : corners.map((c) => add(p, c)))));
}

/** Joins shapes that lie together into elements, in drawing order: connected parts of "nearer than so much". */
function joined(hulls: readonly Polygon[]): number[][] {
  const groups: { paths: number[]; hulls: Polygon[] }[] = [];
  hulls.forEach((hull, i) => {
    const near = groups.filter((g) =>
      g.hulls.some((other) => clearanceBetween(hull, other).mm < TOGETHER_MM),
    );
    const into = near[0] ?? { paths: [], hulls: [] };
    if (near.length === 0) groups.push(into);
    for (const other of near.slice(1)) {
      into.paths.push(...other.paths);
      into.hulls.push(...other.hulls);
      groups.splice(groups.indexOf(other), 1);
    }
    into.paths.push(i);
    into.hulls.push(hull);
  });
  return groups.map((g) => g.paths.sort((a, b) => a - b)).sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0));
}

const known = new WeakMap<Artwork, DesignElement[]>();
/** Beyond so many shapes a drawing is taken for one element: telling them apart would hold up the hand. */
const MOST_SHAPES = 400;

/**
 * The elements of a drawing, in the order they are stitched first; the letters of a word are one. A drawing that hangs together, or has more
 * than 400 shapes, is one element. Kept for each drawing, since the same one is asked about while it is dragged.
 */
export function elementsOf(artwork: Artwork): DesignElement[] {
  const before = known.get(artwork);
  if (before) return before;
  const hulls = artwork.paths.map(hullOfPath);
  const groups = hulls.length > MOST_SHAPES ? [[...hulls.keys()]] : joined(hulls);
  const shapes = groups.map((paths) => ({
    paths,
    hull: paths.flatMap((i) => hulls[i] ?? []),
    stop: artwork.paths[paths[0] ?? 0]?.stop ?? 0,
  }));
  const elements = withWordsWhole(shapes).map(({ paths, hull }) => ({ paths, hull: hullOf(hull) }));
  known.set(artwork, elements);
  return elements;
}

/**
 * The drawing with its elements moved, mm at 100 %, in the frame it came in. Moves of another number than there are
 * elements leave it as it is.
 */
export function arranged(artwork: Artwork, moves: readonly Point[]): Artwork {
  const elements = elementsOf(artwork);
  if (moves.length === 0 || moves.length !== elements.length) return artwork;
  const moveOf = new Map(elements.flatMap(({ paths }, i) => paths.map((path) => [path, moves[i]] as const)));
  return {
    ...artwork,
    paths: artwork.paths.map((path, i) => {
      const by = moveOf.get(i);
      return by ? mappedShape(path, (p) => add(p, by)) : path;
    }),
    hull: hullOf(elements.flatMap(({ hull }, i) => hull.map((p) => add(p, moves[i] ?? p)))),
  };
}

const middleOf = (polygon: Polygon): Point => centreOf(boxOf(polygon));

/** Elements drawn together: what each moves by, and the least gap that is left. mm at 100 %. */
export interface Gathering {
  moves: Point[];
  gapMm: number;
}

const STEPS = 50;
const WAYS: readonly Point[] = [
  { x: 1, y: 0 },
  { x: 0, y: 1 },
  { x: 1, y: 1 },
];

function leastGap(hulls: readonly Polygon[]): number {
  return Math.min(
    Infinity,
    ...hulls.flatMap((a, i) => hulls.slice(i + 1).map((b) => clearanceBetween(a, b).mm)),
  );
}

/**
 * Draws elements closer together towards the design's centre, no further than it must for `fits` to hold of the
 * hull about its new centre, and never nearer to each other than `gapMm`: sideways, else upright, else both ways.
 * Null when no such arrangement fits, or there is one element.
 */
export function gathered(
  elements: readonly Pick<DesignElement, 'hull'>[],
  fits: (hull: Polygon) => boolean,
  gapMm: number,
): Gathering | null {
  if (elements.length < 2) return null;
  const centres = elements.map(({ hull }) => middleOf(hull));
  for (const way of WAYS) {
    for (let step = 1; step <= STEPS; step++) {
      const by = step / STEPS;
      const moves = centres.map((c) => ({ x: -c.x * by * way.x + 0, y: -c.y * by * way.y + 0 }));
      const hulls = elements.map(({ hull }, i) => hull.map((p) => add(p, moves[i] ?? p)));
      const gap = leastGap(hulls);
      if (gap < gapMm) break;
      const hull = hullOf(hulls.flat());
      const centre = middleOf(hull);
      if (fits(hull.map((p) => subtract(p, centre)))) return { moves, gapMm: gap };
    }
  }
  return null;
}
