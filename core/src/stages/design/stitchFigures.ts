import { numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS as N } from '../../catalogue/numbers/design';
import type { HouseRules } from '../../model/houseRules';
import type { StitchFigures } from './svg/estimate';

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
