import type { LogSummary } from '@zt/core/model/logEntry';
import type { LearnedFacts } from '@zt/core/records/find/entryFacts';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { logEntries } from './logEntries';

/**
 * What every entry of the logbook is found by and learned from; those that were taken back have none. Facts told anew
 * are a row of their own, so that `seq` tells what came since. Its words stand in `log_words` (FTS5) under the same number.
 */
export const logFacts = sqliteTable(
  'log_facts',
  {
    seq: integer().primaryKey({ autoIncrement: true }),
    entryId: text()
      .notNull()
      .unique()
      .references(() => logEntries.id),
    /** By which version they were told; 0 by none: only what the entry's line says. */
    version: integer().notNull(),
    loggedAt: text().notNull(),
    name: text().notNull(),
    customer: text().notNull(),
    kind: text().$type<LogSummary['kind']>().notNull(),
    fabricId: text().notNull(),
    method: text().$type<LogSummary['method']>().notNull(),
    outcome: text().$type<LogSummary['outcome']>().notNull(),
    who: text().notNull(),
    rank: integer(),
    stack: text(),
    needle: text(),
    learned: text({ mode: 'json' }).$type<LearnedFacts>(),
  },
  (table) => [index('log_facts_version').on(table.version), index('log_facts_at').on(table.loggedAt)],
);
