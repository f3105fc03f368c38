import { fitUprightLine, leanDegOf, type UprightLine } from '../geometry/fitLine';
import { numberFor } from '../rules/numbers';
import { type HouseRules, schoolFor } from '../rules/schema';
import type { PieceView } from './geometry';
import type { Evenness } from './schema';

/** Two answers to where the middle runs, and the one that is used. */
export interface CentreLine {
  /** From the edges, in the piece frame: x = offset + slope · y. */
  seams: UprightLine;
  leanDeg: number;
  /** Offset of the edges' line from the landmark, at the landmark's height, in mm to the viewer's right. */
  offsetMm: number;
  uneven: boolean;
  used: UprightLine;
  usedSchool: 'wearers' | 'seams';
}

const STRAIGHT: UprightLine = { offset: 0, slope: 0 };

/**
 * Fits the edges' centre line to half widths read at one to three heights. A difference below the
 * shop's thresholds is no unevenness. Without readings the line through the landmark is used.
 */
export function fitCentreLine(view: PieceView, evenness: readonly Evenness[], rules: HouseRules): CentreLine {
  const middles = evenness.map((e) => ({ x: (e.rightMm - e.leftMm) / 2, y: view.datumSign * e.atMm }));
  const seams = fitUprightLine(middles);
  const leanDeg = leanDegOf(seams);
  const uneven =
    Math.abs(leanDeg) >= numberFor(rules, 'unevenDeg') ||
    middles.some((m) => Math.abs(m.x) >= numberFor(rules, 'unevenMm'));
  const usedSchool = schoolFor(rules, 'centreLine');
  const used = uneven && usedSchool === 'seams' ? seams : STRAIGHT;
  return { seams, leanDeg, offsetMm: seams.offset, uneven, used, usedSchool };
}
