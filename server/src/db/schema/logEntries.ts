import type { LogSummary } from '@zt/core/model/logEntry';
import type { ShelfUse } from '@zt/core/model/shelfUse';
import type { Ticket } from '@zt/core/model/ticket';
import type { LogInput } from '@zt/core/model/ticket/log';
import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { compactJson } from '../compactJson';
import { tickets } from './tickets';

export const logEntries = sqliteTable(
  'log_entries',
  {
    id: text().primaryKey(),
    ticketId: text()
      .notNull()
      .references(() => tickets.id),
    loggedAt: text().notNull(),
    kind: text().$type<LogSummary['kind']>().notNull(),
    fabricId: text().notNull(),
    method: text().$type<LogSummary['method']>().notNull(),
    outcome: text().$type<LogSummary['outcome']>().notNull(),
    summary: text({ mode: 'json' }).$type<LogSummary>().notNull(),
    ticket: text({ mode: 'json' }).$type<Ticket>().notNull(),
    plan: compactJson().notNull(),
    log: text({ mode: 'json' }).$type<LogInput>().notNull(),
    /** What logging it took off the shelf, so that taking it back can give it back. */
    taken: text({ mode: 'json' }).$type<ShelfUse[]>().notNull().default([]),
    deletedAt: text(),
  },
  (table) => [
    index('log_entries_lines').on(table.deletedAt, table.loggedAt, table.id),
    index('log_entries_counts').on(table.deletedAt, table.outcome, table.kind, table.fabricId, table.method),
    index('log_entries_ticket').on(table.ticketId),
  ],
);
