import type { ShelfChanges } from '@zt/core/model/api';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import { SHELF_NOUNS } from '@zt/core/model/shelf';
import type { Context } from '../context';
import { saveCustomer } from '../features/customers/writer';
import { keepDrawing } from '../features/drawings/writer';
import { addEntry } from '../features/logbook/writer';
import { saveOrder } from '../features/orders/writer';
import { changeShelf } from '../features/shelf/writer';
import { hasTickets } from '../features/tickets/reader';
import { saveTicket } from '../features/tickets/writer';
import { demoDrawings, openDrawings } from './designs';
import { demoEntries } from './entries';
import { DEMO_CUSTOMERS, demoOrders } from './orders';
import { DEMO_SHELF } from './shelf';
import { demoTickets, isoDay } from './tickets';

/** Fills an empty database with the demo's shelf, tickets and logbook; leaves any other as it is. */
export async function seedDemo({ store, now }: Pick<Context, 'store' | 'now'>): Promise<void> {
  if (await hasTickets(store.db)) return;
  await openDrawings();
  const today = new Date(now());
  const entries = demoEntries(DEMO_SHELF, DEFAULT_HOUSE_RULES, today);
  await store.write(async (tx) => {
    const put = SHELF_NOUNS.flatMap((noun) =>
      DEMO_SHELF[noun].map((item) => ({ noun, item })),
    ) as ShelfChanges['put'];
    await changeShelf(tx, { put }, now());
    for (const ticket of [...demoTickets(DEFAULT_HOUSE_RULES, today), ...entries.map((e) => e.ticket)]) {
      await saveTicket(tx, { ticket, rev: 0 }, now());
    }
    for (const customer of DEMO_CUSTOMERS) await saveCustomer(tx, { customer }, now());
    for (const order of demoOrders((days) => isoDay(today, days))) await saveOrder(tx, { order }, now());
    for (const drawing of demoDrawings()) await keepDrawing(tx, drawing, now());
    for (const entry of entries) await addEntry(tx, entry);
  });
}
