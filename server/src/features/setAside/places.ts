import { SavedSearchSchema, type SetAside } from '@zt/core/model/api';
import { CustomerSchema } from '@zt/core/model/customer';
import { DaySheetSchema } from '@zt/core/model/day';
import { mendKept } from '@zt/core/model/fields/mendKept';
import type { WithUnread } from '@zt/core/model/fields/unread';
import { HouseRulesSchema } from '@zt/core/model/houseRules';
import { summaryOf } from '@zt/core/model/logEntry';
import { OrderSchema } from '@zt/core/model/order';
import { SHELF_ITEMS, type Shelf, type ShelfNoun } from '@zt/core/model/shelf';
import { TicketSchema } from '@zt/core/model/ticket';
import { withTodaysFields } from '@zt/core/planner/newTicket';
import { eq } from 'drizzle-orm';
import type { z } from 'zod';
import { customers } from '../../db/schema/customers';
import { daySheets } from '../../db/schema/daySheets';
import { houseRules } from '../../db/schema/houseRules';
import { logEntries } from '../../db/schema/logEntries';
import { orders } from '../../db/schema/orders';
import { searches } from '../../db/schema/searches';
import { shelfItems } from '../../db/schema/shelfItems';
import { forgetFacts, keepFacts } from '../logbook/facts';
import { findEntry, readLogRows } from '../logbook/reader';
import { markLogged } from '../logbook/writer';
import { rulesOfToday } from '../rules/reader';
import { findShelfRow, readShelfRows } from '../shelf/reader';
import { putItem } from '../shelf/writer';
import { readTicketRows } from '../tickets/reader';
import { markDeleted, saveTicket } from '../tickets/writer';
import { plainPlace, type SetAsidePlace, type UnreadRow, unreadableOf } from './place';

/** A ticket that cannot be read, as it can be; null where it cannot be mended. */
function mendedTicket(raw: unknown) {
  try {
    return mendKept<ReturnType<typeof withTodaysFields>>(TicketSchema, withTodaysFields(raw as never));
  } catch {
    return null;
  }
}

const mendedItem = (noun: ShelfNoun, raw: unknown) =>
  noun in SHELF_ITEMS ? mendKept<Shelf[ShelfNoun][number]>(SHELF_ITEMS[noun] as never, raw) : null;

const shelf: SetAsidePlace = {
  unreadable: async (db) =>
    unreadableOf(await readShelfRows(db), ({ noun }, raw) => mendedItem(noun, raw) !== null),
  mend: async (tx, { id, now }) => {
    const row = await findShelfRow(tx, id);
    if (!row || row.kept.ok) return false;
    const item = mendedItem(row.noun, row.kept.raw);
    if (item) await putItem(tx, { noun: row.noun, item }, { sending: undefined, now, as: 'corrected' });
    return item !== null;
  },
  mark: async (tx, id, deletedAt) => {
    const changed = await tx
      .update(shelfItems)
      .set({ deletedAt })
      .where(eq(shelfItems.id, id))
      .returning({ id: shelfItems.id });
    return changed.length > 0;
  },
};

const tickets: SetAsidePlace = {
  unreadable: async (db) => unreadableOf(await readTicketRows(db), (_, raw) => mendedTicket(raw) !== null),
  mend: async (tx, { id, now }) => {
    const [row] = await readTicketRows(tx, id);
    if (!row || row.kept.ok) return false;
    const ticket = mendedTicket(row.kept.raw);
    if (ticket) await saveTicket(tx, { ticket, rev: row.rev }, now);
    return ticket !== null;
  },
  mark: markDeleted,
};

const logbook: SetAsidePlace = {
  unreadable: async (db) => {
    const rows: UnreadRow[] = [];
    for (const row of unreadableOf(await readLogRows(db), () => true))
      rows.push({ ...row, canMend: (await findEntry(db, row.id)) !== null });
    return rows;
  },
  mend: async (tx, { id }) => {
    const entry = await findEntry(tx, id);
    if (!entry) return false;
    await tx
      .update(logEntries)
      .set({ summary: summaryOf(entry) })
      .where(eq(logEntries.id, id));
    await keepFacts(tx, entry);
    return true;
  },
  mark: async (tx, id, deletedAt) => {
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
  },
};

/** A filter has no field for what was typed and could not be taken: it is never mended. */
const SEARCH_FILTER = SavedSearchSchema.shape.filter as z.ZodType<WithUnread>;

/** What is done with rows that cannot be read, noun by noun: types ask for each that is kept. */
export const PLACES: Record<SetAside['place'], SetAsidePlace> = {
  shelf,
  tickets,
  logbook,
  orders: plainPlace({ table: orders, json: orders.order, schema: OrderSchema }),
  customers: plainPlace({ table: customers, json: customers.customer, schema: CustomerSchema }),
  day: plainPlace({ table: daySheets, json: daySheets.sheet, schema: DaySheetSchema }),
  rules: plainPlace({
    table: houseRules,
    json: houseRules.rules,
    schema: HouseRulesSchema,
    today: rulesOfToday,
  }),
  searches: plainPlace({ table: searches, json: searches.filter, schema: SEARCH_FILTER }),
};
