import {
  type KeptEntry,
  type LogEntry,
  LogEntrySchema,
  type LogFilter,
  type LogSummary,
  LogSummarySchema,
  logOfToday,
  type ShelfUse,
  ShelfUseSchema,
  withTodaysFields,
} from '@zt/core';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { type Kept, readKept, textOf } from '../../db/kept';
import { logEntries } from '../../db/schema/logEntries';

/** A line of the logbook, as far as it can be read. */
export interface LogRow {
  id: string;
  kept: Kept<LogSummary>;
}

/** The logbook's lines, newest first, that agree with every filter given. */
export async function readLogRows(db: Pick<Db, 'select'>, filter: LogFilter = {}): Promise<LogRow[]> {
  const rows = await db
    .select({ id: logEntries.id, summary: textOf(logEntries.summary) })
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
  return rows.map(({ id, summary }) => ({ id, kept: readKept(summary, LogSummarySchema) }));
}

/** The lines that can be read; the others are set aside. */
export async function listEntries(db: Pick<Db, 'select'>, filter: LogFilter): Promise<LogSummary[]> {
  return (await readLogRows(db, filter)).flatMap(({ kept }) => (kept.ok ? [kept.value] : []));
}

/** An entry as an older version kept it, with today's fields. */
function entryOfToday(raw: LogEntry): LogEntry {
  const ticket = withTodaysFields(raw.ticket);
  return { ...raw, ticket, log: logOfToday(raw.log, ticket.hoop.method) };
}

/** One entry with its ticket, plan and what it took off the shelf; null when there is none that can be read. */
export async function findEntry(db: Pick<Db, 'select'>, id: string): Promise<KeptEntry | null> {
  const [row] = await db
    .select({
      id: logEntries.id,
      loggedAt: logEntries.loggedAt,
      ticket: textOf(logEntries.ticket),
      plan: textOf(logEntries.plan),
      log: textOf(logEntries.log),
      taken: textOf(logEntries.taken),
    })
    .from(logEntries)
    .where(and(eq(logEntries.id, id), isNull(logEntries.deletedAt)));
  if (!row) return null;
  const { ticket, plan, log } = row;
  const [head, body] = [
    JSON.stringify({ id: row.id, loggedAt: row.loggedAt }).slice(1, -1),
    `"ticket":${ticket}`,
  ];
  const kept = readKept(`{${head},${body},"plan":${plan},"log":${log}}`, LogEntrySchema, entryOfToday);
  return kept.ok ? { ...kept.value, taken: takenOf(row.taken) } : null;
}

/** What an entry took off the shelf, as far as it can be read. */
export function takenOf(text: string): ShelfUse[] {
  const kept = readKept(text, ShelfUseSchema.array());
  if (kept.ok) return kept.value;
  const uses = Array.isArray(kept.raw) ? kept.raw : [];
  return uses.flatMap((use) => {
    const { data } = ShelfUseSchema.safeParse(use);
    return data ? [data] : [];
  });
}
