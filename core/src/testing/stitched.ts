import { boxOf } from '../base/geometry/box';
import { type Clipper, isInside, type Region, type Ring } from '../base/geometry/clip';
import { nearestOnSegment, type Point } from '../base/geometry/point';
import { toEnd } from '../base/inSteps';
import type { Element } from '../stages/design/stitches/element';
import type { HowToStitch } from '../stages/design/stitches/howToStitch';
import { stitchDesign } from '../stages/design/stitches/stitchDesign';
import { kindOf, laysThread, type Stitches, type StitchKind } from '../stages/design/stitches/stitches';

/** The usual figures of the trade. */
export const USUAL_STITCHING: HowToStitch = {
  fillRowMm: 0.4,
  fillStitchMm: 4,
  underlay: 0.2,
  satinPitchMm: 0.4,
  satinMostMm: 8,
  satinLeastMm: 1,
  runStitchMm: 2.5,
  pullMm: 0.15,
  edgeRuns: true,
  angleDeg: null,
  way: null,
};

export const boxRing = (left: number, top: number, width: number, height: number): Ring => [
  { x: left, y: top },
  { x: left + width, y: top },
  { x: left + width, y: top + height },
  { x: left, y: top + height },
];

export const circleRing = (x: number, y: number, radius: number, points = 90): Ring =>
  Array.from({ length: points }, (_, i) => {
    const a = (2 * Math.PI * i) / points;
    return { x: x + radius * Math.cos(a), y: y + radius * Math.sin(a) };
  });

/** All stitches of some elements, at once. */
export function stitchedElements(elements: readonly Element[], clip: Clipper): Stitches {
  return toEnd(stitchDesign(elements, clip));
}

export const stitchedRegion = (region: Region, clip: Clipper, how: Partial<HowToStitch> = {}): Stitches =>
  stitchedElements([{ region, stop: 0, how: { ...USUAL_STITCHING, ...how } }], clip);

export interface Penetration extends Point {
  kind: StitchKind;
  stop: number;
}

/** Stitches as a list of penetrations. */
export const listed = ({ x, y, kind, stop }: Stitches): Penetration[] =>
  Array.from(x, (px, i) => ({ x: px, y: y[i] ?? 0, kind: kindOf(kind[i] ?? 0), stop: stop[i] ?? 0 }));

/** The share of a region on which thread of a width lies, by points on a fine grid. */
export function coveredShare(
  region: Region,
  stitches: Stitches,
  { threadMm = 0.4, gridMm = 0.2 } = {},
): number {
  const box = boxOf(region.flat());
  const columns = Math.ceil((box.right - box.left) / gridMm);
  const rows = Math.ceil((box.bottom - box.top) / gridMm);
  const isOn = new Uint8Array(columns * rows);
  const at = (column: number, row: number): Point => ({
    x: box.left + (column + 0.5) * gridMm,
    y: box.top + (row + 0.5) * gridMm,
  });
  const half = threadMm / 2;
  const { x, y, kind } = stitches;
  for (let i = 1; i < x.length; i++) {
    if (!laysThread(kind[i] ?? 0)) continue;
    const a = { x: x[i - 1] ?? 0, y: y[i - 1] ?? 0 };
    const b = { x: x[i] ?? 0, y: y[i] ?? 0 };
    const rowFrom = Math.max(0, Math.floor((Math.min(a.y, b.y) - half - box.top) / gridMm));
    const rowTo = Math.min(rows - 1, Math.floor((Math.max(a.y, b.y) + half - box.top) / gridMm));
    const columnFrom = Math.max(0, Math.floor((Math.min(a.x, b.x) - half - box.left) / gridMm));
    const columnTo = Math.min(columns - 1, Math.floor((Math.max(a.x, b.x) + half - box.left) / gridMm));
    for (let row = rowFrom; row <= rowTo; row++)
      for (let column = columnFrom; column <= columnTo; column++) {
        const p = at(column, row);
        const near = nearestOnSegment(p, a, b);
        if (Math.hypot(p.x - near.x, p.y - near.y) <= half + 1e-6) isOn[row * columns + column] = 1;
      }
  }
  let [inside, covered] = [0, 0];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      if (!isInside(region, at(column, row))) continue;
      inside += 1;
      covered += isOn[row * columns + column] ?? 0;
    }
  return inside === 0 ? 1 : covered / inside;
}
