import { CustomerSchema } from '@zt/core/model/customer';
import { DaySheetSchema } from '@zt/core/model/day';
import type { Earlier, EarlierState, HistoryNoun } from '@zt/core/model/history';
import { HouseRulesSchema } from '@zt/core/model/houseRules';
import { OrderSchema } from '@zt/core/model/order';
import { SHELF_ITEMS } from '@zt/core/model/shelf';
import { TicketSchema } from '@zt/core/model/ticket';
import { withTodaysFields } from '@zt/core/planner/newTicket';
import { and, desc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import type { Db } from '../../db/client';
import { readKept, textOf } from '../../db/kept';
import { earlierStates } from '../../db/schema/earlierStates';
import { shelfItems } from '../../db/schema/shelfItems';

type Reads = Pick<Db, 'select'>;
const line = { id: earlierStates.id, at: earlierStates.at, by: earlierStates.by };

/** The earlier states of something that are kept, the latest first. */
export const listEarlier = (db: Reads, noun: HistoryNoun, thingId: string): Promise<Earlier[]> =>
  db
    .select(line)
    .from(earlierStates)
    .where(and(eq(earlierStates.noun, noun), eq(earlierStates.thingId, thingId)))
    .orderBy(desc(earlierStates.at), desc(earlierStates.id));

const SCHEMAS = {
  ticket: TicketSchema,
  rules: HouseRulesSchema,
  order: OrderSchema,
  customer: CustomerSchema,
  day: DaySheetSchema,
} as const;

/** The schema that a state is read with; null where the item is of no noun that is known. */
async function schemaOf(db: Reads, noun: HistoryNoun, thingId: string): Promise<z.ZodType | null> {
  if (noun !== 'shelf') return SCHEMAS[noun];
  const [row] = await db.select({ noun: shelfItems.noun }).from(shelfItems).where(eq(shelfItems.id, thingId));
  return row && row.noun in SHELF_ITEMS ? SHELF_ITEMS[row.noun] : null;
}

/** An earlier state as it is read today; null where there is none, or it cannot be read any more. */
export async function findEarlier(db: Reads, id: string): Promise<EarlierState | null> {
  const [row] = await db
    .select({
      ...line,
      noun: earlierStates.noun,
      thingId: earlierStates.thingId,
      text: textOf(earlierStates.value),
    })
    .from(earlierStates)
    .where(eq(earlierStates.id, id));
  const schema = row && (await schemaOf(db, row.noun, row.thingId));
  if (!row || !schema) return null;
  const today = row.noun === 'ticket' ? withTodaysFields : (raw: never) => raw;
  const kept = readKept<unknown>(row.text, schema, today as (raw: never) => unknown);
  return kept.ok ? { id: row.id, at: row.at, by: row.by, value: kept.value } : null;
}
