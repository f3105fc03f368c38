import type { HistoryNoun } from '@zt/core/model/history';
import { SITTING_MS, thinned } from '@zt/core/sync/history/thin';
import { and, eq, inArray, sql } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { v7 } from 'uuid';
import type { Transaction } from '../../db/client';
import { customers } from '../../db/schema/customers';
import { daySheets } from '../../db/schema/daySheets';
import { earlierStates } from '../../db/schema/earlierStates';
import { houseRules } from '../../db/schema/houseRules';
import { orders } from '../../db/schema/orders';
import { shelfItems } from '../../db/schema/shelfItems';
import { tickets } from '../../db/schema/tickets';
import type { Sent } from '../sending';

/** Where each noun is kept: its table, and the column that holds it as JSON. */
const KEPT: Record<HistoryNoun, { table: SQLiteTable; json: SQLiteColumn }> = {
  ticket: { table: tickets, json: tickets.ticket },
  shelf: { table: shelfItems, json: shelfItems.item },
  order: { table: orders, json: orders.order },
  customer: { table: customers, json: customers.customer },
  day: { table: daySheets, json: daySheets.sheet },
  rules: { table: houseRules, json: houseRules.rules },
};

/** A thing of a noun, by its id. */
export interface Thing {
  noun: HistoryNoun;
  id: string;
}

/** What is kept of a thing as text, readable or not, and when it was taken out of sight; null where there is no row of it. */
export async function rowKept(
  tx: Transaction,
  { noun, id }: Thing,
): Promise<{ text: string; deletedAt: string | null } | null> {
  const { table, json } = KEPT[noun];
  const [row] = await tx.all<{ text: string; deletedAt: string | null }>(
    sql`SELECT ${json} AS text, deleted_at AS "deletedAt" FROM ${table} WHERE id = ${id}`,
  );
  return row ?? null;
}

/**
 * Keeps how something is before it is changed, once a sitting, and thins what was kept before. Called in the
 * transaction that changes it, before that is done; of what is new nothing is kept. What cannot be read is kept
 * `always`, as it stands.
 */
export async function keepEarlier(
  tx: Transaction,
  { noun, id }: Thing,
  { sending, now }: Sent,
  always = false,
): Promise<void> {
  const latest = await tx.get<{ at: string | null }>(
    sql`SELECT max(at) AS at FROM ${earlierStates} WHERE noun = ${noun} AND thing_id = ${id}`,
  );
  if (!always && latest?.at && Date.parse(now) - Date.parse(latest.at) < SITTING_MS) return;
  const states = await tx
    .select({ id: earlierStates.id, at: earlierStates.at })
    .from(earlierStates)
    .where(and(eq(earlierStates.noun, noun), eq(earlierStates.thingId, id)));
  const by = sending?.name ?? '';
  const { table, json } = KEPT[noun];
  await tx.run(
    sql`INSERT INTO ${earlierStates} (id, noun, thing_id, at, by, value)
      SELECT ${v7()}, ${noun}, ${id}, ${now}, ${by}, ${json} FROM ${table} WHERE id = ${id}`,
  );
  const dated = states.map(({ id: stateId, at }) => ({ id: stateId, atMs: Date.parse(at) }));
  const gone = thinned(dated, Date.parse(now)).map((state) => state.id);
  if (gone.length > 0) await tx.delete(earlierStates).where(inArray(earlierStates.id, gone));
}
