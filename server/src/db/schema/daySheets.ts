import type { DaySheet } from '@zt/core/model/day';
import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** One row: what people say of the work that is planned. */
export const daySheets = sqliteTable('day_sheets', {
  id: text().primaryKey(),
  sheet: text({ mode: 'json' }).$type<DaySheet>().notNull(),
  updatedAt: text().notNull(),
});
