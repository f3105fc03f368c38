import { sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Drawings as their files have them, each once, by the SHA-256 of its text. */
export const drawings = sqliteTable('drawings', {
  id: text().primaryKey(),
  text: text().notNull(),
  /** When it was first brought in. */
  at: text().notNull(),
});
