import { DEFAULT_HOUSE_RULES, SHELF_NOUNS } from '@zt/core';
import type { Context } from '../context';
import { addEntry } from '../features/logbook/writer';
import { putItem } from '../features/shelf/writer';
import { listTickets } from '../features/tickets/reader';
import { saveTicket } from '../features/tickets/writer';
import { demoEntries } from './entries';
import { DEMO_SHELF } from './shelf';
import { demoTickets } from './tickets';

/** Fills an empty database with the demo's shelf, tickets and logbook; leaves any other as it is. */
export async function seedDemo({ store, now }: Pick<Context, 'store' | 'now'>): Promise<void> {
  if ((await listTickets(store.db)).length > 0) return;
  const today = new Date(now());
  const entries = demoEntries(DEMO_SHELF, DEFAULT_HOUSE_RULES, today);
  await store.write(async (tx) => {
    for (const noun of SHELF_NOUNS) {
      for (const item of DEMO_SHELF[noun]) await putItem(tx, noun, item);
    }
    for (const ticket of [...demoTickets(DEFAULT_HOUSE_RULES, today), ...entries.map((e) => e.ticket)]) {
      await saveTicket(tx, { ticket, rev: 0 }, now());
    }
    for (const entry of entries) await addEntry(tx, entry);
  });
}
