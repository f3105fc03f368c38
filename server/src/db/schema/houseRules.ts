import type { HouseRules } from '@zt/core/model/houseRules';
import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** One row: this shop's rules. */
export const houseRules = sqliteTable('house_rules', {
  id: text().primaryKey(),
  rules: text({ mode: 'json' }).$type<HouseRules>().notNull(),
  /** When it was taken out of sight because it could not be read; null for one that is in use. */
  deletedAt: text(),
});
