import { numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS as N } from '../../catalogue/numbers/design';
import type { HouseRules } from '../../model/houseRules';

/** Counts up where the same shapes come to other stitches: what was counted before is counted again. */
export const STITCHED = 2;

/** How regions are stitched: mm, and the underlay as a fraction. */
export interface StitchFigures {
  fillRowMm: number;
  fillStitchMm: number;
  underlay: number;
  satinPitchMm: number;
  satinMostMm: number;
  satinLeastMm: number;
  runStitchMm: number;
}

/** The figures of the stitch estimate from the shop's numbers. */
export function stitchFigures(rules: HouseRules): StitchFigures {
  return {
    fillRowMm: numberFor(rules, N.fillRowMm),
    fillStitchMm: numberFor(rules, N.fillStitchMm),
    underlay: numberFor(rules, N.underlayPercent) / 100,
    satinPitchMm: numberFor(rules, N.satinPitchMm),
    satinMostMm: numberFor(rules, N.satinMostMm),
    satinLeastMm: numberFor(rules, N.satinLeastMm),
    runStitchMm: numberFor(rules, N.runStitchMm),
  };
}
