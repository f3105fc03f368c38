import { z } from 'zod';
import { type DisplayUnits, formatLength } from './length';

/** A figure inside a sentence, kept as a number so that the sentence follows the units the reader chose. */
export const QuantitySchema = z.union([
  z.object({ mm: z.number() }),
  z.object({ deg: z.number() }),
  z.object({ percent: z.number() }),
  z.object({ count: z.number() }),
  z.object({ minutes: z.number() }),
  z.object({ metres: z.number() }),
]);
export type Quantity = z.infer<typeof QuantitySchema>;

/** A sentence with figures in it, in reading order. */
export const PhraseSchema = z.array(z.union([z.string(), QuantitySchema]));
export type Phrase = z.infer<typeof PhraseSchema>;

export const mm = (value: number): Quantity => ({ mm: value });
export const deg = (value: number): Quantity => ({ deg: value });
export const percent = (value: number): Quantity => ({ percent: value });
export const count = (value: number): Quantity => ({ count: value });
export const minutes = (value: number): Quantity => ({ minutes: value });
export const metres = (value: number): Quantity => ({ metres: value });

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

function sayQuantity(quantity: Quantity, units: DisplayUnits): string {
  if ('mm' in quantity) return formatLength(quantity.mm, units);
  if ('deg' in quantity) return `${trimmed(quantity.deg, 1)}°`;
  if ('percent' in quantity) return `${trimmed(quantity.percent, 0)} %`;
  if ('minutes' in quantity) return `${trimmed(quantity.minutes, quantity.minutes < 10 ? 1 : 0)} min`;
  if ('metres' in quantity) return `${trimmed(quantity.metres, quantity.metres < 10 ? 1 : 0)} m`;
  return trimmed(quantity.count, 2).replace(/\B(?=(\d{3})+(?!\d))/g, ' ');
}

/** The sentence in the reader's units. An empty phrase is an empty string. */
export function say(text: Phrase, units: DisplayUnits): string {
  return text.map((part) => (typeof part === 'string' ? part : sayQuantity(part, units))).join('');
}
