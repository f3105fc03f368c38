import type { Ticket } from '@zt/core/model/ticket';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** What stands in place of a day that is not set: after every day. */
export const NO_DAY = '9999';

export const tickets = sqliteTable(
  'tickets',
  {
    id: text().primaryKey(),
    ticket: text({ mode: 'json' }).$type<Ticket>().notNull(),
    /** Counts the saves; a save must name the one it builds on. */
    rev: integer().notNull(),
    updatedAt: text().notNull(),
    deletedAt: text(),
    /** The day it is promised for, to sort by. */
    due: text().notNull().default(NO_DAY),
    /** The entry of the logbook that it ended in; null while it is worked on. */
    loggedAs: text(),
    /** The order it belongs to, and how many pieces it makes. */
    orderId: text(),
    pieces: integer().notNull().default(1),
  },
  (table) => [
    index('tickets_bench').on(table.deletedAt, table.loggedAs, table.due, table.id),
    index('tickets_order').on(table.orderId),
  ],
);
