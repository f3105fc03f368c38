import { areaOf, type Clipper, isInside, islandsOf, type Region } from '../../../base/geometry/clip';
import { rotate } from '../../../base/geometry/point';
import { casesOf } from '../../../testing/cases';
import {
  coveredShare,
  listed,
  type Penetration,
  stitchedElements,
  stitchedRegion,
  USUAL_STITCHING,
} from '../../../testing/stitched';
import { toolsInNode } from '../../../testing/toolsInNode';
import { variedShape } from '../../../testing/variedShapes';
import { byWidth } from './byWidth';
import { longestWayDeg } from './longestWay';
import { kindOf, LONGEST_MM, type Stitches } from './stitches';
import { countStops } from './summary';

const DESIGNS = casesOf(1000, 60);
let clip: Clipper;
let shapes: Region[];
let made: Stitches[];
let all: Penetration[][];
beforeAll(async () => {
  ({ clip } = await toolsInNode());
  shapes = Array.from({ length: DESIGNS }, (_, i) => variedShape(i + 1, clip));
  made = shapes.map((region) => stitchedRegion(region, clip));
  all = made.map(listed);
});

const pairs = (points: readonly Penetration[]): [Penetration, Penetration][] =>
  points.flatMap((b, i): [Penetration, Penetration][] => {
    const a = points[i - 1];
    return a ? [[a, b]] : [];
  });
const far = (a: Penetration, b: Penetration): number => Math.hypot(b.x - a.x, b.y - a.y);

/** What is stitched on its way somewhere else is said to be so. */
const ON_THE_WAY = ['travel', 'jump', 'trim'];

describe(`${DESIGNS} varied designs`, () => {
  it('have every penetration inside their shape, or on a way that is said to be one', () => {
    const outside = all.flatMap((points, i) => {
      const grown = clip.offset(shapes[i] ?? [], 0.3);
      return points.filter((p) => !ON_THE_WAY.includes(p.kind) && !isInside(grown, p));
    });
    expect(outside).toEqual([]);
  });

  it('have no stitch longer than a machine makes', () => {
    const long = all.flatMap((points) =>
      pairs(points).filter(([a, b]) => b.kind !== 'trim' && far(a, b) > LONGEST_MM + 0.1),
    );
    expect(long).toEqual([]);
  });

  it('have the thread that their stitches lay', () => {
    for (const [i, stitches] of made.entries()) {
      const laid = pairs(all[i] ?? []).reduce((sum, [a, b]) => sum + (b.kind === 'trim' ? 0 : far(a, b)), 0);
      expect(countStops(stitches, 1)[0]?.threadMm).toBeCloseTo(laid, 3);
    }
  });

  it('come out the same again', () => {
    for (const [i, region] of shapes.slice(0, casesOf(150, 15)).entries())
      expect(stitchedRegion(region, clip)).toEqual(made[i]);
  });
});

/** Shapes as they are filled: the wide parts of the varied ones. */
const fills = (): Region[] =>
  shapes
    .slice(0, casesOf(300, 25))
    .flatMap((region) => islandsOf(byWidth(region, USUAL_STITCHING, clip).fill));

it('fills are covered', () => {
  const covers = fills().map((region) => coveredShare(region, stitchedRegion(region, clip, { way: 'fill' })));
  expect(covers.length).toBeGreaterThan(casesOf(100, 8));
  expect(Math.min(...covers)).toBeGreaterThanOrEqual(0.98);
});

it('rows of fills lie as far apart as was asked, measured back from the stitches', () => {
  for (const rowMm of [0.3, 0.4, 0.6])
    for (const region of fills().slice(0, casesOf(60, 6))) {
      const points = listed(stitchedRegion(region, clip, { way: 'fill', fillRowMm: rowMm, pullMm: 0 }));
      const heights = points
        .filter(({ kind }) => kind === 'fill')
        .map((p) => rotate(p, -longestWayDeg(region)).y)
        .sort((a, b) => a - b);
      const steps = heights.flatMap((y, i) => {
        const step = y - (heights[i - 1] ?? y);
        return step > rowMm / 4 ? [step] : [];
      });
      // Rows on which nothing lies wide enough to be stitched are left out.
      for (const step of steps) expect(Math.abs(step / rowMm - Math.round(step / rowMm))).toBeLessThan(0.1);
      expect(steps.filter((step) => step < rowMm * 1.1).length).toBeGreaterThan(steps.length * 0.95);
    }
});

/** Middles of the legs from rail to rail, in the order they are stitched. */
function rungMiddles(points: readonly Penetration[]) {
  const satin = points.filter(({ kind }) => kind === 'satin');
  return satin.flatMap((a, i) => {
    const b = satin[i + 1];
    return i % 2 === 0 && b ? [{ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }] : [];
  });
}

it('rungs of satin stand as far apart as was asked, measured back from the stitches', () => {
  for (const [wide, turn] of [
    [1.2, 0],
    [3, 30],
    [5, 77],
    [7.5, 45],
  ] as const)
    for (const pitch of [0.35, 0.4, 0.6]) {
      const bar = [
        { x: -20, y: -wide / 2 },
        { x: 20, y: -wide / 2 },
        { x: 20, y: wide / 2 },
        { x: -20, y: wide / 2 },
      ].map((p) => rotate(p, turn));
      const middles = rungMiddles(listed(stitchedRegion([bar], clip, { satinPitchMm: pitch })));
      const steps = middles
        .slice(1)
        .map((b, i) => Math.hypot(b.x - (middles[i]?.x ?? 0), b.y - (middles[i]?.y ?? 0)));
      expect(steps.length).toBeGreaterThan(50);
      for (const step of steps) expect(Math.abs(step - pitch)).toBeLessThanOrEqual(pitch * 0.1);
    }
});

const stitchesIn = (region: Region, kind: string): number =>
  listed(stitchedRegion(region, clip)).filter((p) => p.kind === kind).length;
const rectangle = (width: number, height: number): Region => [
  [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ],
];

it('counts follow the area of fills, and the length of satins and of lines', () => {
  const [small, large] = [stitchesIn(rectangle(40, 30), 'fill'), stitchesIn(rectangle(120, 90), 'fill')];
  expect(large / small / 9).toBeGreaterThan(0.9);
  expect(large / small / 9).toBeLessThan(1.1);
  for (const [wide, kind] of [
    [0.5, 'run'],
    [4, 'satin'],
  ] as const) {
    const [short, long] = [stitchesIn(rectangle(30, wide), kind), stitchesIn(rectangle(120, wide), kind)];
    const asked = kind === 'run' ? 90 / 2.5 : (2 * 90) / 0.4;
    expect((long - short) / asked).toBeGreaterThan(0.97);
    expect((long - short) / asked).toBeLessThan(1.03);
  }
});

it('a large drawing is stitched element by element, stop by stop', () => {
  const elements = shapes.slice(0, 30).map((region, i) => ({ region, stop: i % 3, how: USUAL_STITCHING }));
  const stitches = stitchedElements(elements, clip);
  const firsts = [0, 1, 2].map((stop) => stitches.stop.indexOf(stop));
  expect(firsts.map((at) => kindOf(stitches.kind[at] ?? 0))).toEqual(['trim', 'trim', 'trim']);
  expect([...stitches.stop]).toEqual([...stitches.stop].sort((a, b) => a - b));
  expect(new Set(stitches.element).size).toBe(elements.filter(({ region }) => areaOf(region) > 0.05).length);
});
