import type { Exported } from '@zt/core/model/exported';
import { asc, isNull } from 'drizzle-orm';
import { logEntries } from '../../db/schema/logEntries';
import { movements } from '../../db/schema/movements';
import { tickets } from '../../db/schema/tickets';
import { allCustomers } from '../customers/reader';
import { readDaySheet } from '../day/reader';
import { allDrawings } from '../drawings/reader';
import { findEntry } from '../logbook/reader';
import { allOrders } from '../orders/reader';
import { readSearches } from '../searches/reader';
import type { Reads } from '../setAside/place';
import { readUnread } from '../setAside/reader';
import { readShop } from '../shop';
import { findTicket } from '../tickets/reader';

/** All data of the shop; what cannot be read stands in it as it is kept. */
export async function readAll(db: Reads): Promise<Exported> {
  const ids = await db.select({ id: tickets.id }).from(tickets).orderBy(asc(tickets.id));
  const entryIds = await db
    .select({ id: logEntries.id })
    .from(logEntries)
    .where(isNull(logEntries.deletedAt))
    .orderBy(asc(logEntries.id));
  const all: Exported = {
    format: 2,
    exportedAt: '',
    tickets: [],
    ...(await readShop(db)),
    logbook: [],
    movements: await db.select().from(movements).orderBy(asc(movements.at), asc(movements.id)),
    drawings: await allDrawings(db),
    customers: await allCustomers(db),
    orders: await allOrders(db),
    day: await readDaySheet(db),
    searches: await readSearches(db),
    setAside: (await readUnread(db)).map(({ place, id, why, text }) => ({ place, id, why, text })),
  };
  for (const { id } of ids) {
    const kept = await findTicket(db, id);
    if (kept) all.tickets.push({ ticket: kept.ticket, updatedAt: kept.updatedAt, onBench: kept.onBench });
  }
  for (const { id } of entryIds) {
    const entry = await findEntry(db, id);
    if (entry) all.logbook.push(entry);
  }
  const times = [
    ...all.tickets.map(({ updatedAt }) => updatedAt),
    ...all.logbook.map(({ loggedAt }) => loggedAt),
    ...all.movements.map(({ at }) => at),
  ];
  return { ...all, exportedAt: times.sort().at(-1) ?? '' };
}
