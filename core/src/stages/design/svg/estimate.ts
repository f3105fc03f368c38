import { areaOf, type Region } from '../../../base/geometry/clip';
import { distance } from '../../../base/geometry/point';
import { segmentsOf } from '../../../base/geometry/polygon';

/** The figures of the estimate: mm, and the underlay as a fraction. */
export interface StitchFigures {
  fillRowMm: number;
  fillStitchMm: number;
  underlay: number;
  satinPitchMm: number;
  satinMostMm: number;
  satinLeastMm: number;
  runStitchMm: number;
}

export interface Estimate {
  kind: 'fill' | 'satin' | 'run';
  stitches: number;
  /** Local thread cover, mm of thread per mm²; null for a run. */
  cover: number | null;
  /** Mean width of a satin column, mm. */
  satinMm: number | null;
}

const perimeterOf = (region: Region): number =>
  region.reduce((sum, ring) => sum + segmentsOf(ring, true).reduce((n, [a, b]) => n + distance(a, b), 0), 0);

/**
 * Width of the rectangle with this area and perimeter, mm: the column a shape would be stitched as. A shape
 * rounder than any rectangle counts as the square of its area.
 */
function columnWidth(area: number, perimeter: number): number {
  const half = perimeter / 2;
  const spread = half * half - 4 * area;
  return spread > 0 ? (half - Math.sqrt(spread)) / 2 : Math.sqrt(area);
}

/**
 * Stitches of a region in mm: a run while it is narrower than the narrowest satin, a satin column while it is no wider
 * than the widest, else a fill with underlay. Null for a region without area.
 */
export function estimateFilled(region: Region, f: StitchFigures): Estimate | null {
  const area = areaOf(region);
  const perimeter = perimeterOf(region);
  if (area <= 0 || perimeter <= 0) return null;
  const width = columnWidth(area, perimeter);
  if (width <= f.satinMostMm) return estimateLine(area / width, width, f);
  const perMm2 = 1 / (f.fillRowMm * f.fillStitchMm);
  return {
    kind: 'fill',
    stitches: Math.round(area * perMm2 * (1 + f.underlay)),
    cover: (1 + f.underlay) / f.fillRowMm,
    satinMm: null,
  };
}

/** Stitches of a line: a satin column from the narrowest satin upwards, a run below it. mm. */
export function estimateLine(lengthMm: number, widthMm: number, f: StitchFigures): Estimate {
  if (widthMm < f.satinLeastMm)
    return { kind: 'run', stitches: Math.round(lengthMm / f.runStitchMm), cover: null, satinMm: null };
  return {
    kind: 'satin',
    stitches: Math.round((2 * lengthMm) / f.satinPitchMm),
    cover: 2 / f.satinPitchMm,
    satinMm: widthMm,
  };
}
