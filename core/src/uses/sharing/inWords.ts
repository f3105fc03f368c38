import { shortened } from '../../base/shortened';
import { type Phrase, phrase } from '../../base/units/phrase';
import { boundsAt } from '../../model/fields/bounds';
import { valueAt } from '../../model/fields/path';
import type { Offer } from '../../model/offer';
import { type Ticket, TicketSchema } from '../../model/ticket';
import { fieldOffered, keysOf } from './offers';

const MOST_LETTERS = 60;

/** A value of a field, as far as it can be said in a line. */
function inWords(at: string, value: unknown): Phrase {
  const bounds = boundsAt(TicketSchema, at);
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

/** What stands in a field that was changed on two devices, and what the other entered there; its time as it is said. */
export function offeredInWords(
  ticket: Ticket,
  offer: Offer,
  time: string,
): { stands: Phrase; offered: Phrase } {
  const field = fieldOffered(ticket, offer);
  return {
    stands: phrase`Here stands ${inWords(field, valueAt(ticket, keysOf(ticket, offer.at)))}.`,
    offered: phrase`From ${offer.by}${time === '' ? '' : `, ${time}`}: ${inWords(field, offer.value)}.`,
  };
}
