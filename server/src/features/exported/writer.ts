import { amountsOf, difference } from '@zt/core/ledger/amounts';
import type { BroughtIn, Exported } from '@zt/core/model/exported';
import { barePiecesOf } from '@zt/core/model/pieces';
import { SHELF_NOUNS, type Shelf, type ShelfNoun } from '@zt/core/model/shelf';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { customers } from '../../db/schema/customers';
import { daySheets } from '../../db/schema/daySheets';
import { houseRules } from '../../db/schema/houseRules';
import { logEntries } from '../../db/schema/logEntries';
import { movements } from '../../db/schema/movements';
import { orders } from '../../db/schema/orders';
import { searches } from '../../db/schema/searches';
import { shelfItems } from '../../db/schema/shelfItems';
import { NO_DAY, tickets } from '../../db/schema/tickets';
import { saveCustomer } from '../customers/writer';
import { saveDay } from '../day/writer';
import { keepDrawing } from '../drawings/writer';
import { addEntry } from '../logbook/writer';
import { saveOrder } from '../orders/writer';
import { saveRules } from '../rules/writer';
import { amountsKept, keepMoves } from '../shelf/ledger';

type Table = typeof tickets | typeof shelfItems | typeof logEntries | typeof orders | typeof customers;

const isHere = async (tx: Transaction, table: Table, id: string): Promise<boolean> =>
  (await tx.select({ id: table.id }).from(table).where(eq(table.id, id))).length > 0;

/** An item with its ledger; what the ledger of the document does not tell of its amounts is its first count. */
async function bringItem(
  tx: Transaction,
  { noun, item }: { noun: ShelfNoun; item: Shelf[ShelfNoun][number] },
  { movements: ledger }: Exported,
  now: string,
): Promise<void> {
  await tx.insert(shelfItems).values({ id: item.id, noun, item, deletedAt: null });
  for (const movement of ledger.filter(({ itemId }) => itemId === item.id))
    await tx.insert(movements).values(movement).onConflictDoNothing();
  const moves = difference(await amountsKept(tx, item.id), amountsOf(noun, item as never));
  await keepMoves(tx, moves, { itemId: item.id, kind: 'opening', entryId: null, at: now, by: '' });
}

/**
 * Brings a document in: whatever is not here yet. What is here already stays as it is, taken off or not, and so do
 * house rules that were saved here.
 */
export async function bringIn(tx: Transaction, all: Exported, now: string): Promise<BroughtIn> {
  const brought: BroughtIn = { tickets: 0, items: 0, entries: 0, rules: false, known: 0 };
  for (const { ticket, updatedAt, onBench } of all.tickets) {
    if (await isHere(tx, tickets, ticket.id)) brought.known += 1;
    else {
      const deletedAt = onBench ? null : now;
      const due = ticket.due ?? NO_DAY;
      const { orderId } = ticket;
      const pieces = barePiecesOf(ticket);
      await tx
        .insert(tickets)
        .values({ id: ticket.id, ticket, rev: 1, updatedAt, deletedAt, due, orderId, pieces });
      brought.tickets += 1;
    }
  }
  for (const noun of SHELF_NOUNS)
    for (const item of all.shelf[noun]) {
      if (await isHere(tx, shelfItems, item.id)) brought.known += 1;
      else {
        await bringItem(tx, { noun, item }, all, now);
        brought.items += 1;
      }
    }
  for (const { taken, ...entry } of all.logbook) {
    if ((await isHere(tx, logEntries, entry.id)) || !(await isHere(tx, tickets, entry.ticket.id)))
      brought.known += 1;
    else {
      await addEntry(tx, entry, taken);
      brought.entries += 1;
    }
  }
  for (const customer of all.customers)
    if (!(await isHere(tx, customers, customer.id))) await saveCustomer(tx, { customer }, now);
  for (const order of all.orders)
    if (!(await isHere(tx, orders, order.id))) await saveOrder(tx, { order }, now);
  for (const drawing of all.drawings) await keepDrawing(tx, drawing, now);
  for (const search of all.searches) await tx.insert(searches).values(search).onConflictDoNothing();
  if ((await tx.select({ id: daySheets.id }).from(daySheets)).length === 0)
    await saveDay(tx, { sheet: all.day }, now);
  if ((await tx.select({ id: houseRules.id }).from(houseRules)).length === 0) {
    await saveRules(tx, { rules: all.rules }, now);
    brought.rules = true;
  }
  return brought;
}
