import type { CustomerDetail, MadeBefore } from '@zt/core/model/ordersApi';
import { and, desc, eq, isNull, or, sql } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { logEntries } from '../../db/schema/logEntries';
import { orders } from '../../db/schema/orders';
import { tickets } from '../../db/schema/tickets';
import { readOrders } from '../orders/reader';
import { findCustomer } from './reader';

type Reads = Pick<Db, 'select'>;

/** So many pieces that were made before are listed. */
const MOST_MADE = 60;

/** What was made for a customer: the pieces of their orders, and those that bear their name; the latest first. */
async function madeFor(db: Reads, { id, name }: { id: string; name: string }): Promise<MadeBefore[]> {
  return db
    .select({
      entryId: logEntries.id,
      ticketId: logEntries.ticketId,
      name: sql<string>`json_extract(${logEntries.summary}, '$.name')`,
      loggedAt: logEntries.loggedAt,
      pieces: sql<number>`coalesce(json_extract(${logEntries.summary}, '$.pieces'), 1)`,
    })
    .from(logEntries)
    .leftJoin(tickets, eq(tickets.id, logEntries.ticketId))
    .leftJoin(orders, eq(orders.id, tickets.orderId))
    .where(
      and(
        isNull(logEntries.deletedAt),
        or(
          eq(orders.customerId, id),
          sql`lower(trim(json_extract(${logEntries.summary}, '$.customer'))) = ${name.trim().toLowerCase()}`,
        ),
      ),
    )
    .orderBy(desc(logEntries.loggedAt), desc(logEntries.id))
    .limit(MOST_MADE);
}

/** One customer with their orders and what was made for them; null when there is none. */
export async function readCustomer(db: Reads, id: string): Promise<CustomerDetail | null> {
  const customer = await findCustomer(db, id);
  if (!customer) return null;
  const { orders: theirs } = await readOrders(db, { customer: id });
  return { customer, orders: theirs, made: await madeFor(db, customer) };
}
