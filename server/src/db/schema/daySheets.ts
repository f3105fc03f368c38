import type { DaySheet } from '@zt/core/model/day';
import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** One row: what people say of the work that is planned. */
export const daySheets = sqliteTable('day_sheets', {
  id: text().primaryKey(),
  sheet: text({ mode: 'json' }).$type<DaySheet>().notNull(),
  updatedAt: text().notNull(),
  /** When it was taken out of sight because it could not be read; null for one that is in use. */
  deletedAt: text(),
});
