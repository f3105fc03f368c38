import type { KeptEntry } from '@zt/core/model/api';
import { type LogEntry, LogEntrySchema, type LogSummary, LogSummarySchema } from '@zt/core/model/logEntry';
import { type ShelfUse, ShelfUseSchema } from '@zt/core/model/shelfUse';
import { logOfToday, withTodaysFields } from '@zt/core/planner/newTicket';
import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { type Packed, unpacked } from '../../db/compactJson';
import { type Kept, readKept, textOf } from '../../db/kept';
import { logEntries } from '../../db/schema/logEntries';

/** A line of the logbook, as far as it can be read. */
export interface LogRow {
  id: string;
  kept: Kept<LogSummary>;
}

type Reads = Pick<Db, 'select'>;
const line = { id: logEntries.id, summary: textOf(logEntries.summary) };
const rowOf = ({ id, summary }: { id: string; summary: string }): LogRow => ({
  id,
  kept: readKept(summary, LogSummarySchema),
});
/** Every line of the logbook, as far as it can be read. */
export const readLogRows = async (db: Reads): Promise<LogRow[]> =>
  (await db.select(line).from(logEntries).where(isNull(logEntries.deletedAt))).map(rowOf);

/** The lines of a page, in the order of their ids; what cannot be read is left out of it. */
export async function readLines(db: Reads, ids: readonly string[]): Promise<LogSummary[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .select(line)
    .from(logEntries)
    .where(inArray(logEntries.id, [...ids]));
  const byId = new Map(rows.map((row) => [row.id, rowOf(row).kept]));
  return ids.flatMap((id) => {
    const kept = byId.get(id);
    return kept?.ok ? [kept.value] : [];
  });
}

/** An entry as an older version kept it, with today's fields. */
function entryOfToday(raw: LogEntry): LogEntry {
  const ticket = withTodaysFields(raw.ticket);
  return { ...raw, ticket, log: logOfToday(raw.log, ticket.hoop.method) };
}

/** The plan of an entry as JSON; one that is damaged is no JSON, and makes the entry unreadable. */
function textOfPlan(packed: Packed): string {
  try {
    return unpacked(packed);
  } catch {
    return '';
  }
}

/** One entry with its ticket, plan and what it took off the shelf; null when there is none that can be read. */
export async function findEntry(db: Pick<Db, 'select'>, id: string): Promise<KeptEntry | null> {
  const [row] = await db
    .select({
      id: logEntries.id,
      loggedAt: logEntries.loggedAt,
      ticket: textOf(logEntries.ticket),
      plan: sql<Packed>`${logEntries.plan}`,
      log: textOf(logEntries.log),
      taken: textOf(logEntries.taken),
    })
    .from(logEntries)
    .where(and(eq(logEntries.id, id), isNull(logEntries.deletedAt)));
  if (!row) return null;
  const { ticket, log } = row;
  const plan = textOfPlan(row.plan);
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
