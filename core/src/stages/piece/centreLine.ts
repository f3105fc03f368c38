import { fitUprightLine, leanDegOf, type UprightLine } from '../../base/geometry/fitLine';
import { numberFor } from '../../catalogue/houseNumber';
import { PIECE_NUMBERS } from '../../catalogue/numbers/piece';
import { type HouseRules, schoolFor } from '../../model/houseRules';
import type { Evenness, Grain } from '../../model/ticket/piece';
import type { PieceView } from './geometry';

/** Three answers to where the middle runs, and the one that is used. The wearer's runs straight through the landmark. */
export interface CentreLine {
  /** From the edges, in the piece frame: x = offset + slope · y. */
  seams: UprightLine;
  /** Along the grain through the landmark; null where the grain was not read. */
  grain: UprightLine | null;
  /** The edges' lean; positive leans clockwise going up. */
  leanDeg: number;
  /** Offset of the edges' line from the landmark, at the landmark's height, in mm to the viewer's right. */
  offsetMm: number;
  uneven: boolean;
  used: UprightLine;
  usedSchool: 'wearers' | 'seams' | 'grain';
}

const STRAIGHT: UprightLine = { offset: 0, slope: 0 };

/**
 * Fits the edges' centre line to half widths read at one to three heights. A difference below the
 * shop's thresholds is no unevenness. Without readings the line through the landmark is used. The grain is a
 * second witness: its line has the grain's lean.
 */
export function fitCentreLine(
  view: PieceView,
  { evenness, grain: read }: { evenness: readonly Evenness[]; grain: Grain | null },
  rules: HouseRules,
): CentreLine {
  const middles = evenness.map((e) => ({ x: (e.rightMm - e.leftMm) / 2, y: view.datumSign * e.atMm }));
  const seams = fitUprightLine(middles);
  const leanDeg = leanDegOf(seams);
  const grain = read ? { offset: 0, slope: read.driftMm / read.overMm } : null;
  const uneven =
    Math.abs(leanDeg) >= numberFor(rules, PIECE_NUMBERS.unevenDeg) ||
    Math.abs(grain ? leanDegOf(grain) : 0) >= numberFor(rules, PIECE_NUMBERS.unevenDeg) ||
    middles.some((m) => Math.abs(m.x) >= numberFor(rules, PIECE_NUMBERS.unevenMm));
  const asked = schoolFor(rules, 'centreLine');
  // Without a reading of the grain there is no line of it to follow.
  const usedSchool = asked === 'grain' && !grain ? 'wearers' : asked;
  const bySchool = { wearers: STRAIGHT, seams, grain: grain ?? STRAIGHT };
  const used = uneven ? bySchool[usedSchool] : STRAIGHT;
  return { seams, grain, leanDeg, offsetMm: seams.offset, uneven, used, usedSchool };
}
