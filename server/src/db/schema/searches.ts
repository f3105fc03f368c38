import type { LogFilter } from '@zt/core/model/api';
import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Searches of the logbook that are kept under a name. */
export const searches = sqliteTable('searches', {
  id: text().primaryKey(),
  name: text().notNull(),
  filter: text({ mode: 'json' }).$type<LogFilter>().notNull(),
  /** When it was taken out of sight because it could not be read; null for one that is in use. */
  deletedAt: text(),
});
