import { valueAt, withValueAt } from '../model/fields/path';
import type { Offer, Offers } from '../model/offer';
import type { Shared } from './merge';

/** Texts that could not be taken are kept by the path of their field: one key with dots in it. */
const UNREAD = 'unread.';

/** The keys of a path; rows of a list that are named by their ids stand there by their places. */
export function keysOf(thing: unknown, at: string): string[] {
  const named = at.startsWith(UNREAD) ? ['unread', at.slice(UNREAD.length)] : at.split('.');
  const keys: string[] = [];
  for (const key of named) {
    const list = valueAt(thing, keys);
    const place = Array.isArray(list) ? list.findIndex((row) => valueAt(row, ['id']) === key) : -1;
    keys.push(place < 0 ? key : String(place));
  }
  return keys;
}

/** The path of the field that an offer speaks of, as the fields of a ticket are named. */
export const fieldOffered = (thing: unknown, { at }: Offer): string =>
  at.startsWith(UNREAD) ? at.slice(UNREAD.length) : keysOf(thing, at).join('.');

/** Whether what is offered is an order of rows that stand there: their ids. */
export const isOrderOfRows = (rows: unknown, value: unknown): rows is { id: string }[] =>
  Array.isArray(rows) &&
  rows.every((row) => typeof valueAt(row, ['id']) === 'string') &&
  Array.isArray(value) &&
  value.every((id) => typeof id === 'string');

/** The rows in an offered order; what came since stands behind. */
function ordered(rows: readonly { id: string }[], ids: readonly string[]): { id: string }[] {
  const placeOf = ({ id }: { id: string }) => (ids.includes(id) ? ids.indexOf(id) : ids.length);
  return [...rows].sort((a, b) => placeOf(a) - placeOf(b));
}

function withOffered(thing: unknown, { at, value }: Offer): unknown {
  const keys = keysOf(thing, at);
  const rows = valueAt(thing, keys);
  if (isOrderOfRows(rows, value)) return withValueAt(thing, keys, ordered(rows, value as string[]));
  const parent = keys.slice(0, -1);
  const list = valueAt(thing, parent);
  if (!Array.isArray(list)) return withValueAt(thing, keys, value);
  const isThere = keys.at(-1) !== at.split('.').at(-1);
  if (isThere && value !== undefined) return withValueAt(thing, keys, value);
  const others = isThere ? list.filter((_, i) => String(i) !== keys.at(-1)) : list;
  return withValueAt(thing, parent, value === undefined ? others : [...others, value]);
}

const without = (offers: Offers, gone: (offer: Offer, id: string) => boolean): Offers =>
  Object.fromEntries(Object.entries(offers).filter(([id, offer]) => !gone(offer, id)));

/** The thing with an offered value in its field; whatever else was offered there goes. */
export function offerTaken<T extends Shared>(thing: T, id: string): T {
  const offer = thing.offers?.[id];
  if (!offer) return thing;
  const taken = withOffered(thing, offer) as T;
  return { ...taken, offers: without(thing.offers ?? {}, ({ at }) => at === offer.at) };
}

/** The thing without an offer: what stands in the field was right. */
export const offerLeft = <T extends Shared>(thing: T, id: string): T => ({
  ...thing,
  offers: without(thing.offers ?? {}, (_, own) => own === id),
});
