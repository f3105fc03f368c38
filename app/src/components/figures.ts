import { type DisplayUnits, formatLength } from '@zt/core/base/units/length';
import type { ShoppingUnit } from '@zt/core/business/shopping/shopping';

/** Figures that have no place in a phrase: one digit after the point, and metres off a roll to the centimetre. */
export const oneDigit = (value: number): string => String(Math.round(value * 10) / 10);
export const metres = (m: number): string => `${hundredth(m)} m`;

/** An amount in a field, to the hundredth. */
export const hundredth = (value: number): number => Math.round(value * 100) / 100;

/** So much of a supply, in what it is counted in: "1 needle", "0.6 cans", "14 m". */
export function amount(value: number, unit: ShoppingUnit): string {
  if (unit === 'm') return metres(value);
  const figure = oneDigit(value);
  return `${figure} ${figure === '1' ? unit.replace(/s$/, '') : unit}`;
}

/** So many of a thing, by its name in the singular: "1 thread", "20 threads". */
export const countOf = (count: number, thing: string): string => `${count} ${thing}${count === 1 ? '' : 's'}`;

/** A rectangle's two sides. */
export const sides = (size: { widthMm: number; heightMm: number }, units: DisplayUnits): string =>
  `${formatLength(size.widthMm, units)} × ${formatLength(size.heightMm, units)}`;
