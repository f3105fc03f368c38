import { z } from 'zod';
import { type DisplayUnits, formatLength } from './length';
import { formatMoney } from './money';

/** A figure inside a sentence, kept as a number so that the sentence follows the units the reader chose. */
export const QuantitySchema = z.union([
  z.object({ mm: z.number() }),
  z.object({ deg: z.number() }),
  z.object({ percent: z.number() }),
  z.object({ count: z.number() }),
  z.object({ minutes: z.number() }),
  z.object({ metres: z.number() }),
  /** In the smallest unit of its currency. */
  z.object({ minor: z.number(), currency: z.string() }),
]);
export type Quantity = z.infer<typeof QuantitySchema>;

/** A sentence with figures in it, in reading order. */
export const PhraseSchema = z.array(z.union([z.string().max(2000), QuantitySchema])).max(200);
export type Phrase = z.infer<typeof PhraseSchema>;

export const mm = (value: number): Quantity => ({ mm: value });
export const deg = (value: number): Quantity => ({ deg: value });
export const percent = (value: number): Quantity => ({ percent: value });
export const count = (value: number): Quantity => ({ count: value });
export const minutes = (value: number): Quantity => ({ minutes: value });
export const metres = (value: number): Quantity => ({ metres: value });
export const money = (minor: number, currency: string): Quantity => ({ minor, currency });

/** Builds a phrase: phrase`${mm(8)} to spare`. Phrases and strings inside are joined in. */
export function phrase(texts: TemplateStringsArray, ...values: (Quantity | string | Phrase)[]): Phrase {
  const parts: Phrase = [];
  texts.forEach((text, i) => {
    if (text !== '') parts.push(text);
    const value = values[i];
    if (value === undefined) return;
    if (Array.isArray(value)) parts.push(...value);
    else parts.push(value);
  });
  return parts;
}

const trimmed = (value: number, digits: number) => String(Number(value.toFixed(digits)) + 0);

/** The finest level a figure is printed at when it must be told from another. */
const FINEST = 3;
const INCH_MARKS = [32, 64] as const;

/** A length at a level of fineness: the tape's own marks, then 1/32 and 1/64 in, then thousandths of a millimetre. */
function sayLength(mm: number, units: DisplayUnits, level: number): string {
  if (units.system === 'mm') return level === 0 ? formatLength(mm, units) : `${trimmed(mm, 1 + level)} mm`;
  if (level === 0) return formatLength(mm, units);
  const marks = INCH_MARKS[level - 1];
  return marks ? formatLength(mm, { system: 'in', denominator: marks }) : `${trimmed(mm, 3)} mm`;
}

function sayQuantity(quantity: Quantity, units: DisplayUnits, level = 0): string {
  if ('minor' in quantity) return formatMoney(quantity.minor, quantity.currency);
  if ('mm' in quantity) return sayLength(quantity.mm, units, level);
  if ('deg' in quantity) return `${trimmed(quantity.deg, 1 + level)}°`;
  if ('percent' in quantity) return `${trimmed(quantity.percent, level)} %`;
  if ('minutes' in quantity)
    return `${trimmed(quantity.minutes, (quantity.minutes < 10 ? 1 : 0) + level)} min`;
  if ('metres' in quantity) return `${trimmed(quantity.metres, (quantity.metres < 10 ? 1 : 0) + level)} m`;
  return trimmed(quantity.count, 2 + level).replace(/\B(?=(\d{3})+(?!\d))/g, ' ');
}

const kindOf = (quantity: Quantity): string => Object.keys(quantity)[0] ?? '';
/** The figure of a quantity, in the unit it is kept in. */
export const amountOf = (quantity: Quantity): number => Number(Object.values(quantity)[0] ?? 0);

/** Figures nearer together than this are one and the same: rounding in the arithmetic, far below any tape. */
const SAME = 0.015;

/**
 * The fineness at which each figure of a sentence is printed: the usual one, and finer where two figures that differ
 * would print alike, or one that is not nothing would print as 0.
 */
function levelsFor(quantities: readonly Quantity[], units: DisplayUnits): number[] {
  const levels = quantities.map(() => 0);
  const clash = (i: number): boolean => {
    const [own, level] = [quantities[i] as Quantity, levels[i] ?? 0];
    const printed = sayQuantity(own, units, level);
    if (/^-?0\D*$/.test(printed) && Math.abs(amountOf(own)) > SAME) return true;
    return quantities.some(
      (other, k) =>
        k !== i &&
        kindOf(other) === kindOf(own) &&
        Math.abs(amountOf(other) - amountOf(own)) > SAME &&
        sayQuantity(other, units, Math.max(level, levels[k] ?? 0)) === printed,
    );
  };
  for (let round = 0; round < FINEST; round++) {
    const clashing = quantities.map((_, i) => clash(i));
    clashing.forEach((does, i) => {
      if (does) levels[i] = (levels[i] ?? 0) + 1;
    });
  }
  return levels;
}

/**
 * The sentence in the reader's units. Two figures of one sentence that differ never print alike: both are then
 * printed finer. An empty phrase is an empty string.
 */
export function say(text: Phrase, units: DisplayUnits): string {
  const quantities = text.filter((part): part is Quantity => typeof part !== 'string');
  const levels = quantities.length > 0 ? levelsFor(quantities, units) : [];
  let next = 0;
  return text
    .map((part) => (typeof part === 'string' ? part : sayQuantity(part, units, levels[next++])))
    .join('');
}
