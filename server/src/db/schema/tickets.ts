import type { Ticket } from '@zt/core';
import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

export const tickets = sqliteTable('tickets', {
  id: text().primaryKey(),
  ticket: text({ mode: 'json' }).$type<Ticket>().notNull(),
  /** Counts the saves; a save must name the one it builds on. */
  rev: integer().notNull(),
  updatedAt: text().notNull(),
  deletedAt: text(),
});
