import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { Hoop } from '../shelf/schema';
import { CLOSES_BY_KIND } from './numbers';

/** The thickest stack a hoop closes on, mm: as measured, else as its kind does; infinite for an open frame. */
export function closesOnMm(hoop: Hoop, rules: HouseRules): number {
  const byKind = CLOSES_BY_KIND[hoop.kind];
  return hoop.closesOnMm ?? (byKind ? numberFor(rules, byKind) : Infinity);
}
