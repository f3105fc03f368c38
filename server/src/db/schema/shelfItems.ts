import { SHELF_NOUNS } from '@zt/core/model/shelf';
import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';

export const shelfItems = sqliteTable(
  'shelf_items',
  {
    id: text().primaryKey(),
    noun: text({ enum: SHELF_NOUNS }).notNull(),
    item: text({ mode: 'json' }).$type<unknown>().notNull(),
    deletedAt: text(),
  },
  (table) => [index('shelf_items_noun').on(table.noun)],
);
