import type { HistoryNoun } from '@zt/core/model/history';
import { SITTING_MS, thinned } from '@zt/core/uses/history/thin';
import { and, eq, inArray, type SQL, sql } from 'drizzle-orm';
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

/** What is kept of a thing now, as it is kept: what cannot be read is still how it was. */
const KEPT: Record<HistoryNoun, (id: string) => SQL> = {
  ticket: (id) => sql`${tickets.ticket} FROM ${tickets} WHERE ${tickets.id} = ${id}`,
  shelf: (id) => sql`${shelfItems.item} FROM ${shelfItems} WHERE ${shelfItems.id} = ${id}`,
  order: (id) => sql`${orders.order} FROM ${orders} WHERE ${orders.id} = ${id}`,
  customer: (id) => sql`${customers.customer} FROM ${customers} WHERE ${customers.id} = ${id}`,
  day: (id) => sql`${daySheets.sheet} FROM ${daySheets} WHERE ${daySheets.id} = ${id}`,
  rules: (id) => sql`${houseRules.rules} FROM ${houseRules} WHERE ${houseRules.id} = ${id}`,
};

/**
 * Keeps how something is before it is changed, once a sitting, and thins what was kept before. Called in the
 * transaction that changes it, before that is done; of what is new nothing is kept.
 */
export async function keepEarlier(
  tx: Transaction,
  { noun, id }: { noun: HistoryNoun; id: string },
  { sending, now }: Sent,
): Promise<void> {
  const latest = await tx.get<{ at: string | null }>(
    sql`SELECT max(at) AS at FROM ${earlierStates} WHERE noun = ${noun} AND thing_id = ${id}`,
  );
  if (latest?.at && Date.parse(now) - Date.parse(latest.at) < SITTING_MS) return;
  const states = await tx
    .select({ id: earlierStates.id, at: earlierStates.at })
    .from(earlierStates)
    .where(and(eq(earlierStates.noun, noun), eq(earlierStates.thingId, id)));
  const by = sending?.name ?? '';
  await tx.run(
    sql`INSERT INTO ${earlierStates} (id, noun, thing_id, at, by, value)
      SELECT ${v7()}, ${noun}, ${id}, ${now}, ${by}, ${KEPT[noun](id)}`,
  );
  const dated = states.map(({ id: stateId, at }) => ({ id: stateId, atMs: Date.parse(at) }));
  const gone = thinned(dated, Date.parse(now)).map((state) => state.id);
  if (gone.length > 0) await tx.delete(earlierStates).where(inArray(earlierStates.id, gone));
}
