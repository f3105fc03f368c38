import type { Order, OrderState } from '@zt/core/model/order';
import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { NO_DAY } from './tickets';

/** The order book. */
export const orders = sqliteTable(
  'orders',
  {
    id: text().primaryKey(),
    order: text({ mode: 'json' }).$type<Order>().notNull(),
    name: text().notNull(),
    /** The day it is promised for, to sort by. */
    due: text().notNull().default(NO_DAY),
    state: text().$type<OrderState>().notNull(),
    customerId: text(),
    updatedAt: text().notNull(),
    deletedAt: text(),
  },
  (table) => [
    index('orders_book').on(table.deletedAt, table.due, table.id),
    index('orders_customer').on(table.customerId),
  ],
);
