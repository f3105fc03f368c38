import { numberFor } from '../../catalogue/houseNumber';
import { CLOSES_BY_KIND } from '../../catalogue/numbers/hoop';
import type { HouseRules } from '../../model/houseRules';
import type { Hoop } from '../../model/shelf';

/** The thickest stack a hoop closes on, mm: as measured, else as its kind does; infinite for an open frame. */
export function closesOnMm(hoop: Hoop, rules: HouseRules): number {
  const byKind = CLOSES_BY_KIND[hoop.kind];
  return hoop.closesOnMm ?? (byKind ? numberFor(rules, byKind) : Infinity);
}
