import {
  areaD,
  differenceD,
  EndType,
  FillRule,
  inflatePathsD,
  intersectD,
  JoinType,
  type PathD,
} from 'clipper2-ts';
import { randomLcg } from 'd3-random';
import { nearestPair } from '../src/base/geometry/nearestPair';
import { type Point, rotate } from '../src/base/geometry/point';
import { hullOf } from '../src/base/geometry/polygon';
import { HOOP_PRESETS } from '../src/catalogue/presets';
import { whyDesignDoesNotFit } from '../src/stages/hoop/fit';

/** Fit of 10 designs in 12 hoops in 4 turns, and a trace's clearance round an outline of 5 000 points, each beside the same question put to a general polygon-clipping library, in one run. */
const random = randomLcg(0.42);
const between = (least: number, most: number) => least + random() * (most - least);

const outlineOf = (points: number, reach: number): Point[] =>
  Array.from({ length: points }, (_, i) => {
    const t = (2 * Math.PI * i) / points;
    const r = reach * (0.7 + 0.25 * Math.sin(5 * t) + 0.05 * Math.sin(61 * t));
    return { x: r * Math.cos(t) * 1.3, y: r * Math.sin(t) };
  });
const DESIGNS = Array.from({ length: 10 }, () => hullOf(outlineOf(400, between(25, 110))));
const FIELDS = [...HOOP_PRESETS.map((p) => p.field), [120, 120] as const, [180, 300] as const].map(
  ([w, h]) => ({
    widthMm: w,
    heightMm: h,
    round: false,
  }),
);
const TURNS = [0, 90, 180, 270];

const pathOf = (points: readonly Point[]): PathD => points.map((p) => ({ x: p.x, y: p.y }));
const fieldPath = (w: number, h: number): PathD =>
  pathOf([
    { x: -w / 2, y: -h / 2 },
    { x: w / 2, y: -h / 2 },
    { x: w / 2, y: h / 2 },
    { x: -w / 2, y: h / 2 },
  ]);

/** The plain way: what of the turned outline is left once the field is cut away. */
function fitsByClipping(
  hull: readonly Point[],
  field: { widthMm: number; heightMm: number },
  turnDeg: number,
): boolean {
  const left = differenceD(
    [pathOf(hull.map((p) => rotate(p, turnDeg)))],
    [fieldPath(field.widthMm, field.heightMm)],
    FillRule.NonZero,
    4,
  );
  return left.reduce((sum, path) => sum + Math.abs(areaD(path)), 0) < 1e-3;
}

function medianMs(rounds: number, work: () => unknown): number {
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(rounds / 2)] ?? 0;
}

const report = (name: string, own: number, library: number) =>
  console.log(
    `${name.padEnd(44)} ${own.toFixed(3)} ms, by clipping ${library.toFixed(2)} ms: ${(library / own).toFixed(0)} times as long`,
  );

const every = (test: (hull: readonly Point[], field: (typeof FIELDS)[number], turnDeg: number) => boolean) =>
  DESIGNS.flatMap((hull) => FIELDS.flatMap((field) => TURNS.map((t) => test(hull, field, t))));
const own = () =>
  every((hull, field, turnDeg) => whyDesignDoesNotFit(hull, field, { turnDeg, x: 0, y: 0 }) === null);
const clipped = () => every(fitsByClipping);
const [a, b] = [own(), clipped()];
const agree = a.filter((fits, i) => fits === b[i]).length;
console.log(
  `${DESIGNS.length} designs × ${FIELDS.length} hoops × ${TURNS.length} turns: ${agree} of ${a.length} answers agree`,
);
report('fit of all of them', medianMs(41, own), medianMs(11, clipped));

const OUTLINE = outlineOf(5000, 60);
const PIN = [
  { x: 92, y: -17 },
  { x: 95, y: -17 },
  { x: 95, y: 17 },
  { x: 92, y: 17 },
];
const FOOT_MM = 6;
/** The plain way: grow the outline by the foot, then see whether it meets the pin; grow until it does, by halving. */
function clearanceByClipping(): number {
  const pin = [pathOf(PIN)];
  const meets = (by: number) =>
    intersectD(
      inflatePathsD([pathOf(OUTLINE)], by, JoinType.Round, EndType.Polygon, 2, 4),
      pin,
      FillRule.NonZero,
      4,
    ).length > 0;
  let [least, most] = [0, 64];
  while (most - least > 0.05) {
    const middle = (least + most) / 2;
    if (meets(middle)) most = middle;
    else least = middle;
  }
  return least - FOOT_MM;
}
const clearance = () => nearestPair(hullOf(OUTLINE), PIN).mm - FOOT_MM;
console.log(
  `clearance of foot and pin: ${clearance().toFixed(2)} mm; of the outline itself by clipping ${clearanceByClipping().toFixed(2)} mm`,
);
report('clearance for an outline of 5 000 points', medianMs(41, clearance), medianMs(3, clearanceByClipping));
