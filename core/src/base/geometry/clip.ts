import type { Clipper2ZFactoryFunction, MainModule, Paths64 } from 'clipper2-wasm/dist/clipper2z';
import type { Point } from './point';

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
}

const UNITS_PER_MM = 1000;

/** Makes the package's module from its compiled bytes, wherever they were read. */
export const loadClipper = async (
  factory: Clipper2ZFactoryFunction,
  wasmBinary: Uint8Array,
): Promise<Clipper> => clipperOf(await factory({ wasmBinary: wasmBinary.slice().buffer }));

function clipperOf(wasm: MainModule): Clipper {
  const given = (rings: readonly Ring[]): Paths64 => {
    const paths = new wasm.Paths64();
    for (const ring of rings) {
      const units = new BigInt64Array(ring.length * 3);
      ring.forEach(({ x, y }, i) => {
        units[3 * i] = BigInt(Math.round(x * UNITS_PER_MM));
        units[3 * i + 1] = BigInt(Math.round(y * UNITS_PER_MM));
      });
      const path = new wasm.Path64();
      path.assign(units);
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

/** The region without crumbs: rings of less area than this, mm², holes and islands alike. */
export const withoutCrumbs = (region: Region, leastMm2: number): Region =>
  region.filter((ring) => Math.abs(signedAreaOf(ring)) >= leastMm2);
