import type { Customer } from '@zt/core/model/customer';
import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** For whom the shop works. One that is erased leaves no row. */
export const customers = sqliteTable(
  'customers',
  {
    id: text().primaryKey(),
    customer: text({ mode: 'json' }).$type<Customer>().notNull(),
    name: text().notNull(),
    updatedAt: text().notNull(),
    /** When it was taken out of sight because it could not be read; null for one that is in use. */
    deletedAt: text(),
  },
  (table) => [index('customers_name').on(table.name, table.id)],
);
