import type { HistoryNoun } from '@zt/core/model/history';
import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** How tickets, items and rules were before a sitting in which they were changed; thinned with age. */
export const earlierStates = sqliteTable(
  'earlier_states',
  {
    id: text().primaryKey(),
    noun: text().$type<HistoryNoun>().notNull(),
    thingId: text().notNull(),
    /** When it was changed. */
    at: text().notNull(),
    by: text().notNull(),
    value: text({ mode: 'json' }).$type<unknown>().notNull(),
  },
  (table) => [index('earlier_states_thing').on(table.noun, table.thingId, table.at)],
);
