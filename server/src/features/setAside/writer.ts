import { mendKept, type SetAside, SHELF_ITEMS, type Shelf, type ShelfNoun, summaryOf } from '@zt/core';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { logEntries } from '../../db/schema/logEntries';
import { shelfItems } from '../../db/schema/shelfItems';
import { forgetFacts, keepFacts } from '../logbook/facts';
import { findEntry } from '../logbook/reader';
import { markLogged } from '../logbook/writer';
import { findShelfRow } from '../shelf/reader';
import { putItem } from '../shelf/writer';
import { readTicketRows } from '../tickets/reader';
import { markDeleted, saveTicket } from '../tickets/writer';
import { mendedTicket } from './reader';

interface Row {
  id: string;
  now: string;
}

async function mendItem(tx: Transaction, { id, now }: Row): Promise<boolean> {
  const row = await findShelfRow(tx, id);
  if (!row || row.kept.ok || !(row.noun in SHELF_ITEMS)) return false;
  const item = mendKept<Shelf[ShelfNoun][number]>(SHELF_ITEMS[row.noun] as never, row.kept.raw);
  if (item) await putItem(tx, { noun: row.noun, item }, { sending: undefined, now, as: 'corrected' });
  return item !== null;
}

async function mendTicket(tx: Transaction, { id, now }: Row): Promise<boolean> {
  const [row] = await readTicketRows(tx, id);
  if (!row || row.kept.ok) return false;
  const ticket = mendedTicket(row.kept.raw);
  if (ticket) await saveTicket(tx, { ticket, rev: row.rev }, now);
  return ticket !== null;
}

async function mendEntry(tx: Transaction, { id }: Row): Promise<boolean> {
  const entry = await findEntry(tx, id);
  if (!entry) return false;
  await tx
    .update(logEntries)
    .set({ summary: summaryOf(entry) })
    .where(eq(logEntries.id, id));
  await keepFacts(tx, entry);
  return true;
}

/** Makes a row readable, what was past its bounds kept as unread text. Returns whether it could be done. */
export const MEND: Record<SetAside['place'], (tx: Transaction, row: Row) => Promise<boolean>> = {
  shelf: mendItem,
  tickets: mendTicket,
  logbook: mendEntry,
};

/** Takes a row that cannot be read out of sight, or puts it back (`null`). Returns whether there was one. */
export async function markRow(
  tx: Transaction,
  place: SetAside['place'],
  id: string,
  deletedAt: string | null,
): Promise<boolean> {
  if (place === 'tickets') return markDeleted(tx, id, deletedAt);
  if (place === 'logbook') {
    const [entry] = await tx
      .update(logEntries)
      .set({ deletedAt })
      .where(eq(logEntries.id, id))
      .returning({ ticketId: logEntries.ticketId });
    if (entry) await markLogged(tx, entry.ticketId);
    const back = deletedAt === null && (await findEntry(tx, id));
    if (back) await keepFacts(tx, back);
    else await forgetFacts(tx, id);
    return entry !== undefined;
  }
  const changed = await tx
    .update(shelfItems)
    .set({ deletedAt })
    .where(eq(shelfItems.id, id))
    .returning({ id: shelfItems.id });
  return changed.length > 0;
}
