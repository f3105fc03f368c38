import type { MovementKind } from '@zt/core/model/movement';
import { index, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** The ledger of the stock: rows are added, and never changed. An amount on the shelf is the sum of its rows. */
export const movements = sqliteTable(
  'movements',
  {
    id: text().primaryKey(),
    itemId: text().notNull(),
    figure: text().notNull(),
    amount: real().notNull(),
    kind: text().$type<MovementKind>().notNull(),
    entryId: text(),
    at: text().notNull(),
    by: text().notNull(),
  },
  (table) => [
    index('movements_item').on(table.itemId, table.figure),
    index('movements_entry').on(table.entryId),
  ],
);
