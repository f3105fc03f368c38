import { type DisplayUnits, roundToTape } from './length';

/**
 * Half of a tape reading, at the nearest mark a tape carries: 1/16 in, or 0.5 mm.
 * `readingMm` in mm; the result is in mm and lies within 1/32 in of the true half.
 */
export function halveOnTape(readingMm: number, units: DisplayUnits): number {
  const half = readingMm / 2;
  return units.system === 'in' ? roundToTape(half, 16) : Math.round(half * 2) / 2;
}
