import type { HouseRules } from '../model/houseRules';

/** A number of the trade: a default that a shop may change, with the reason a screen can show. */
export interface HouseNumber {
  id: string;
  name: string;
  value: number;
  /** Money is in the smallest unit of the shop's currency. */
  unit: 'mm' | 'deg' | 'percent' | 'count' | 'seconds' | 'minutes' | 'hours' | 'metres' | 'money' | 'per-mm2';
  reason: string;
}

/** Numbers under their ids: whoever works with one takes it from here. */
export const houseNumbers = <Id extends string>(
  numbers: Record<Id, Omit<HouseNumber, 'id'>>,
): Readonly<Record<Id, HouseNumber>> =>
  Object.fromEntries(
    Object.entries<Omit<HouseNumber, 'id'>>(numbers).map(([id, number]) => [id, { id, ...number }]),
  ) as Record<Id, HouseNumber>;

/** The shop's own figure, or the trade's default. In the unit the number states. */
export const numberFor = (rules: HouseRules, { id, value }: HouseNumber): number =>
  rules.numbers[id] ?? value;
