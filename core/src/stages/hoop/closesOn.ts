import { numberFor } from '../../catalogue/houseNumber';
import type { HouseRules } from '../../model/houseRules';
import type { Hoop } from '../../model/shelf';
import { hoopKindOf } from './kinds';

/** The thickest stack a hoop closes on, mm: as measured, else as its kind does; infinite where nothing is clamped. */
export function closesOnMm(hoop: Hoop, rules: HouseRules): number {
  const { closes } = hoopKindOf(hoop);
  return hoop.closesOnMm ?? (closes ? numberFor(rules, closes) : Infinity);
}
