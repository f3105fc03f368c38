import type { z } from 'zod';
import { shortened } from '../base/shortened';
import { type Phrase, phrase } from '../base/units/phrase';
import { boundsAt } from '../model/fields/bounds';
import { valueAt } from '../model/fields/path';
import type { Offer } from '../model/offer';
import { wordsOfPath } from '../planner/fieldNames';
import { fieldOffered, isOrderOfRows, keysOf } from './offers';

const MOST_LETTERS = 60;

/** A value of a field, as far as it can be said in a line. */
export function inWords(schema: z.ZodType, at: string, value: unknown): Phrase {
  const bounds = boundsAt(schema, at);
  if (value === undefined || value === null || value === '') return phrase`nothing`;
  if (typeof value === 'number' && bounds?.kind === 'number' && bounds.isLength) return [{ mm: value }];
  if (typeof value === 'number' || typeof value === 'string')
    return phrase`“${shortened(String(value), MOST_LETTERS)}”`;
  if (typeof value === 'boolean') return value ? phrase`yes` : phrase`no`;
  if (Array.isArray(value)) return phrase`a list of ${String(value.length)}`;
  const names = Object.entries(value).flatMap(([key, part]) =>
    typeof part === 'number' || typeof part === 'string' ? [`${key} ${part}`] : [],
  );
  return phrase`${shortened(names.join(', ') || 'what was chosen there', MOST_LETTERS)}`;
}

/** What a row is called: by its name or its text, else as which of them it is. */
function rowName(rows: unknown, id: string): string {
  const place = Array.isArray(rows) ? rows.findIndex((row) => valueAt(row, ['id']) === id) : -1;
  const row = Array.isArray(rows) ? rows[place] : null;
  const name = valueAt(row, ['name']) ?? valueAt(row, ['text']) ?? valueAt(row, ['letters', 'text']);
  return typeof name === 'string' && name !== '' ? name : `no. ${place + 1}`;
}

/** Which field of something that the shop keeps was changed on two devices. */
export const offeredText = (thing: unknown, offer: Offer): Phrase =>
  phrase`${shortened(wordsOfPath(fieldOffered(thing, offer)), MOST_LETTERS)} was changed on two devices: say which is right.`;

/** What stands in a field that was changed on two devices, and what the other entered there; its time as it is said. */
export function offeredInWords(
  schema: z.ZodType,
  thing: unknown,
  offer: Offer,
  time: string,
): { stands: Phrase; offered: Phrase } {
  const field = fieldOffered(thing, offer);
  const rows = valueAt(thing, keysOf(thing, offer.at));
  const orderOf = (ids: readonly string[]) =>
    phrase`the order ${shortened(ids.map((id) => rowName(rows, id)).join(', '), MOST_LETTERS)}`;
  const said = (value: unknown) =>
    isOrderOfRows(rows, offer.value)
      ? orderOf(value === rows ? rows.map(({ id }) => id) : (value as string[]))
      : inWords(schema, field, value);
  return {
    stands: phrase`Here stands ${said(rows)}.`,
    offered: phrase`From ${offer.by}${time === '' ? '' : `, ${time}`}: ${said(offer.value)}.`,
  };
}
