import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** What was sent here and taken: one that comes again changes nothing. */
export const sendings = sqliteTable(
  'sendings',
  { id: text().primaryKey(), at: text().notNull() },
  (table) => [index('sendings_at').on(table.at)],
);
