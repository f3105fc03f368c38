import type { Clipper2ZFactoryFunction, MainModule, Path64, Paths64 } from 'clipper2-wasm/dist/clipper2z';
import type { Point } from './point';
import { containsPoint } from './polygon';

/** A closed ring, first point not repeated. */
export type Ring = readonly Point[];
/** Rings that cross neither themselves nor each other: outer ones run one way, holes the other. mm. */
export type Region = readonly Ring[];

/**
 * Boolean work on rings of any kind: crossing themselves, lying on each other, without area. It ends on every input
 * (Clipper2 compiled to wasm: 100 000 random self-crossing polygons in the tests). mm, kept to a micrometre.
 */
export interface Clipper {
  union: (rings: readonly Ring[], rule?: 'nonzero' | 'evenodd') => Region;
  intersect: (a: Region, b: Region) => Region;
  subtract: (a: Region, b: Region) => Region;
  /** Grown by so much all round, with round corners; below zero made smaller. A region that is eaten up is empty. */
  offset: (region: Region, mm: number) => Region;
  /** Wherever a point of one ring and a point of another come to when they are added: the band that it sweeps. */
  minkowskiSum: (a: Ring, b: Ring) => Region;
  /** Without points that lie no farther than this from the line past them, mm. */
  simplify: (region: Region, mm: number) => Region;
}

const UNITS_PER_MM = 1000;
/** A round corner is cut by chords that lie no farther from it, units; mitred ones are not made. */
const ARC_UNITS = 5;
const MITER_LIMIT = 2;

/** Makes the package's module from its compiled bytes, wherever they were read. */
export const loadClipper = async (
  factory: Clipper2ZFactoryFunction,
  wasmBinary: Uint8Array,
): Promise<Clipper> => clipperOf(await factory({ wasmBinary: wasmBinary.slice().buffer }));

function clipperOf(wasm: MainModule): Clipper {
  const pathOf = (ring: Ring): Path64 => {
    const units = new BigInt64Array(ring.length * 3);
    ring.forEach(({ x, y }, i) => {
      units[3 * i] = BigInt(Math.round(x * UNITS_PER_MM));
      units[3 * i + 1] = BigInt(Math.round(y * UNITS_PER_MM));
    });
    const path = new wasm.Path64();
    path.assign(units);
    return path;
  };
  const given = (rings: readonly Ring[]): Paths64 => {
    const paths = new wasm.Paths64();
    for (const ring of rings) {
      const path = pathOf(ring);
      paths.push_back(path);
      path.delete();
    }
    return paths;
  };
  const taken = (paths: Paths64): Region => {
    const rings: Point[][] = [];
    for (let i = 0; i < paths.size(); i++) {
      const path = paths.get(i);
      const units = path.view();
      rings.push(
        Array.from({ length: units.length / 3 }, (_, k) => ({
          x: Number(units[3 * k]) / UNITS_PER_MM,
          y: Number(units[3 * k + 1]) / UNITS_PER_MM,
        })),
      );
      path.delete();
    }
    paths.delete();
    return rings;
  };
  const { NonZero, EvenOdd } = wasm.FillRule;
  const ofTwo = (work: MainModule['Intersect64']) => (a: Region, b: Region) => {
    const [first, second] = [given(a), given(b)];
    const found = taken(work(first, second, NonZero));
    first.delete();
    second.delete();
    return found;
  };
  const subtract = ofTwo((a, b, rule) => wasm.Difference64(a, b, rule));
  const intersect = ofTwo((a, b, rule) => wasm.Intersect64(a, b, rule));
  return {
    union: (rings, rule = 'nonzero') => {
      const paths = given(rings);
      const found = taken(wasm.UnionSelf64(paths, rule === 'evenodd' ? EvenOdd : NonZero));
      paths.delete();
      return found;
    },
    intersect: (a, b) => (a.length === 0 || b.length === 0 ? [] : intersect(a, b)),
    subtract: (a, b) => (a.length === 0 || b.length === 0 ? a : subtract(a, b)),
    offset: (region, mm) => {
      if (region.length === 0 || mm === 0) return region;
      const paths = given(region);
      const { Round } = wasm.JoinType;
      const grown = wasm.InflatePaths64(
        paths,
        mm * UNITS_PER_MM,
        Round,
        wasm.EndType.Polygon,
        MITER_LIMIT,
        ARC_UNITS,
      );
      paths.delete();
      return taken(grown);
    },
    minkowskiSum: (a, b) => {
      const [pattern, path] = [pathOf(a), pathOf(b)];
      const swept = taken(wasm.MinkowskiSum64(pattern, path, true));
      pattern.delete();
      path.delete();
      return swept;
    },
    simplify: (region, mm) => {
      const paths = given(region);
      const simple = taken(wasm.SimplifyPaths64(paths, mm * UNITS_PER_MM, true));
      paths.delete();
      return simple;
    },
  };
}

/** The area of a ring, below zero where it runs the other way round. */
export const signedAreaOf = (ring: Ring): number => {
  let twice = 0;
  let before = ring[ring.length - 1];
  for (const at of ring) {
    if (before) twice += before.x * at.y - at.x * before.y;
    before = at;
  }
  return twice / 2;
};

/** The area that a region covers, mm²: its holes are not counted. */
export const areaOf = (region: Region): number =>
  Math.abs(region.reduce((sum, ring) => sum + signedAreaOf(ring), 0));

/** The islands of a region, each hanging together: an outer ring with its holes. */
export function islandsOf(region: Region): Region[] {
  const outers = region.filter((ring) => signedAreaOf(ring) > 0);
  const holes = region.filter((ring) => signedAreaOf(ring) < 0);
  // Of outers within outers the innermost that holds a hole has it.
  const holderOf = (hole: Ring): Ring | undefined =>
    outers
      .filter((outer) => hole[0] !== undefined && containsPoint([...outer], hole[0]))
      .sort((a, b) => signedAreaOf(a) - signedAreaOf(b))[0];
  return outers.map((outer) => [outer, ...holes.filter((hole) => holderOf(hole) === outer)]);
}

export const isInside = (region: Region, p: Point): boolean => {
  let inside = false;
  for (const ring of region) if (containsPoint(ring, p)) inside = !inside;
  return inside;
};

/** The region without crumbs: rings of less area than this, mm², holes and islands alike. */
export const withoutCrumbs = (region: Region, leastMm2: number): Region =>
  region.filter((ring) => Math.abs(signedAreaOf(ring)) >= leastMm2);
