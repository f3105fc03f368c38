import {
  FABRICS,
  type KeptEntry,
  type LogEntry,
  LogEntrySchema,
  type LogFilter,
  type LogOrder,
  type LogPage,
  type LogQuestionSchema,
  type LogSummary,
  LogSummarySchema,
  logOfToday,
  OUTCOMES,
  PIECE_KIND_IDS,
  PIECE_KINDS,
  type ShelfUse,
  ShelfUseSchema,
  withTodaysFields,
} from '@zt/core';
import { and, asc, count, desc, eq, isNull, type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { z } from 'zod';
import type { Db } from '../../db/client';
import { type Packed, unpacked } from '../../db/compactJson';
import { type Kept, readKept, textOf } from '../../db/kept';
import { logEntries } from '../../db/schema/logEntries';
import { shelfItems } from '../../db/schema/shelfItems';
import { comesAfter, hasWords, keyOf, PAGE } from '../paging';

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
const SOUGHT = ['name', 'customer', 'note'] as const;

const agreesWith = (filter: LogFilter) =>
  and(
    isNull(logEntries.deletedAt),
    filter.kind ? eq(logEntries.kind, filter.kind) : undefined,
    filter.fabricId ? eq(logEntries.fabricId, filter.fabricId) : undefined,
    filter.method ? eq(logEntries.method, filter.method) : undefined,
    filter.outcome ? eq(logEntries.outcome, filter.outcome) : undefined,
    hasWords(logEntries.summary, SOUGHT, filter.q),
  );

/** Every line of the logbook, as far as it can be read. */
export const readLogRows = async (db: Reads): Promise<LogRow[]> =>
  (await db.select(line).from(logEntries).where(isNull(logEntries.deletedAt))).map(rowOf);

const wordsIn = (field: 'name' | 'customer'): SQL<string> =>
  sql`lower(CASE WHEN json_valid(${logEntries.summary}) THEN coalesce(json_extract(${logEntries.summary}, ${`$.${field}`}), '') ELSE '' END)`;
/** One text for each value of a column, for those that are known. */
const spelled = (
  column: SQLiteColumn,
  texts: readonly (readonly [value: string, text: string])[],
  other: SQL = sql`''`,
): SQL<string> =>
  sql`CASE ${column} ${sql.join(
    texts.map(([value, text]) => sql`WHEN ${value} THEN ${text}`),
    sql` `,
  )} ELSE ${other} END`;
const ownCloth = sql`coalesce((SELECT lower(json_extract(${shelfItems.item}, '$.name')) FROM ${shelfItems} WHERE ${shelfItems.id} = ${logEntries.fabricId} AND json_valid(${shelfItems.item})), '')`;

/** What each order goes by: what is read in its column, as text, so that a key compares as it is sorted. */
const SORTED_BY: Record<LogOrder['by'], SQL<string>> = {
  date: sql`${logEntries.loggedAt}`,
  name: wordsIn('name'),
  customer: wordsIn('customer'),
  kind: spelled(
    logEntries.kind,
    PIECE_KIND_IDS.map((id) => [id, PIECE_KINDS[id].name.toLowerCase()]),
  ),
  cloth: spelled(
    logEntries.fabricId,
    FABRICS.map(({ id, name }) => [id, name.toLowerCase()]),
    ownCloth,
  ),
  method: sql`${logEntries.method}`,
  outcome: spelled(
    logEntries.outcome,
    OUTCOMES.map((outcome, i) => [outcome, String(i)]),
  ),
};

/** A page of the logbook, the latest first unless it is asked otherwise, that agrees with every filter; what cannot be read is left out of it. */
export async function readLogbook(
  db: Reads,
  { after, by, way, ...filter }: z.infer<typeof LogQuestionSchema>,
): Promise<LogPage> {
  const sortedBy = SORTED_BY[by];
  const turned = way === 'rising' ? asc : desc;
  const rows = await db
    .select({ ...line, sortedBy })
    .from(logEntries)
    .where(and(agreesWith(filter), comesAfter([sortedBy, logEntries.id], after, way)))
    .orderBy(turned(sortedBy), turned(logEntries.id))
    .limit(PAGE + 1);
  const counted = await db
    .select({ outcome: logEntries.outcome, n: count() })
    .from(logEntries)
    .where(agreesWith(filter))
    .groupBy(logEntries.outcome);
  const last = rows.length > PAGE ? rows[PAGE - 1] : undefined;
  const counts = Object.fromEntries(OUTCOMES.map((outcome) => [outcome, 0])) as LogPage['counts'];
  for (const { outcome, n } of counted) counts[outcome] = n;
  return {
    entries: rows.slice(0, PAGE).flatMap((row) => {
      const { kept } = rowOf(row);
      return kept.ok ? [kept.value] : [];
    }),
    counts,
    next: last ? keyOf(last.sortedBy, last.id) : null,
  };
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
