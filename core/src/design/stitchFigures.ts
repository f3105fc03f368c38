import type { DESIGN_NUMBERS } from './numbers';
import type { StitchFigures } from './svg/estimate';

/** The figures of the stitch estimate from the shop's numbers. */
export function stitchFigures(numberOf: (id: keyof typeof DESIGN_NUMBERS) => number): StitchFigures {
  return {
    fillRowMm: numberOf('fillRowMm'),
    fillStitchMm: numberOf('fillStitchMm'),
    underlay: numberOf('underlayPercent') / 100,
    satinPitchMm: numberOf('satinPitchMm'),
    satinMostMm: numberOf('satinMostMm'),
    satinLeastMm: numberOf('satinLeastMm'),
    runStitchMm: numberOf('runStitchMm'),
  };
}
