import { type LogEntry, type LogSummary, logOfToday, withTodaysFields } from '@zt/core';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { logEntries } from '../../db/schema/logEntries';

export interface LogFilter {
  kind?: LogSummary['kind'] | undefined;
  fabricId?: string | undefined;
  method?: LogSummary['method'] | undefined;
  outcome?: LogSummary['outcome'] | undefined;
}

/** The logbook's lines, newest first, that agree with every filter given. */
export async function listEntries(db: Pick<Db, 'select'>, filter: LogFilter): Promise<LogSummary[]> {
  const rows = await db
    .select({ summary: logEntries.summary })
    .from(logEntries)
    .where(
      and(
        isNull(logEntries.deletedAt),
        filter.kind ? eq(logEntries.kind, filter.kind) : undefined,
        filter.fabricId ? eq(logEntries.fabricId, filter.fabricId) : undefined,
        filter.method ? eq(logEntries.method, filter.method) : undefined,
        filter.outcome ? eq(logEntries.outcome, filter.outcome) : undefined,
      ),
    )
    .orderBy(desc(logEntries.loggedAt));
  return rows.map((row) => row.summary);
}

export async function findEntry(db: Pick<Db, 'select'>, id: string): Promise<LogEntry | null> {
  const [row] = await db
    .select({
      id: logEntries.id,
      loggedAt: logEntries.loggedAt,
      ticket: logEntries.ticket,
      plan: logEntries.plan,
      log: logEntries.log,
    })
    .from(logEntries)
    .where(and(eq(logEntries.id, id), isNull(logEntries.deletedAt)));
  if (!row) return null;
  const ticket = withTodaysFields(row.ticket);
  return { ...row, ticket, log: logOfToday(row.log, ticket.hoop.method) };
}
