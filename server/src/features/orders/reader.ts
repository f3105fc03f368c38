import { OPEN_STATES, type Order, OrderSchema } from '@zt/core/model/order';
import type {
  OrderDetail,
  OrderedTicket,
  OrderLine,
  OrdersPage,
  OrdersQuestionSchema,
} from '@zt/core/model/ordersApi';
import { and, asc, count, eq, inArray, isNull, type SQL, sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { Db } from '../../db/client';
import { readKept, textOf } from '../../db/kept';
import { customers } from '../../db/schema/customers';
import { orders } from '../../db/schema/orders';
import { tickets } from '../../db/schema/tickets';
import { findCustomer } from '../customers/reader';
import { comesAfter, keyOf, PAGE } from '../paging';

type Reads = Pick<Db, 'select'>;

const orderOf = (text: string): Order[] => {
  const kept = readKept<Order>(text, OrderSchema);
  return kept.ok ? [kept.value] : [];
};

/** What the tickets of some orders come to, by order. */
async function countsOf(
  db: Reads,
  ids: readonly string[],
): Promise<Map<string, Omit<OrderLine, 'order' | 'customer'>>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select({
      orderId: tickets.orderId,
      tickets: count(),
      pieces: sql<number>`sum(${tickets.pieces})`,
      logged: sql<number>`count(${tickets.loggedAs})`,
    })
    .from(tickets)
    .where(and(inArray(tickets.orderId, [...ids]), isNull(tickets.deletedAt)))
    .groupBy(tickets.orderId);
  return new Map(rows.map(({ orderId, ...counts }) => [orderId ?? '', counts]));
}

const NO_TICKETS = { tickets: 0, pieces: 0, logged: 0 };

function wanted({ q, state, customer }: z.infer<typeof OrdersQuestionSchema>): SQL | undefined {
  const words = q?.trim();
  const written = `%${words?.replace(/[\\%_]/g, '\\$&')}%`;
  return and(
    isNull(orders.deletedAt),
    state === undefined ? undefined : inArray(orders.state, state === 'open' ? [...OPEN_STATES] : [state]),
    customer === undefined ? undefined : eq(orders.customerId, customer),
    words
      ? sql`(${orders.name} LIKE ${written} ESCAPE '\\' OR ${customers.name} LIKE ${written} ESCAPE '\\')`
      : undefined,
  );
}

/** A page of the order book, soonest due first; what cannot be read is left out of it, and counted. */
export async function readOrders(
  db: Reads,
  question: z.infer<typeof OrdersQuestionSchema>,
): Promise<OrdersPage> {
  const where = wanted(question);
  const rows = await db
    .select({ id: orders.id, order: textOf(orders.order), due: orders.due, customer: customers.name })
    .from(orders)
    .leftJoin(customers, eq(customers.id, orders.customerId))
    .where(and(where, comesAfter([orders.due, orders.id], question.after, 'rising')))
    .orderBy(asc(orders.due), asc(orders.id))
    .limit(PAGE + 1);
  const [counted] = await db
    .select({ total: count() })
    .from(orders)
    .leftJoin(customers, eq(customers.id, orders.customerId))
    .where(where);
  const page = rows.slice(0, PAGE);
  const counts = await countsOf(
    db,
    page.map(({ id }) => id),
  );
  const last = rows.length > PAGE ? rows[PAGE - 1] : undefined;
  return {
    orders: page.flatMap(({ id, order, customer }) =>
      orderOf(order).map((one) => ({
        order: one,
        customer: customer ?? '',
        ...(counts.get(id) ?? NO_TICKETS),
      })),
    ),
    total: counted?.total ?? 0,
    next: last ? keyOf(last.due, last.id) : null,
  };
}

/** One order, taken off the book or not; null when there is none, or what is kept of it cannot be read. */
export async function findOrder(db: Reads, id: string): Promise<Order | null> {
  const [row] = await db
    .select({ order: textOf(orders.order) })
    .from(orders)
    .where(eq(orders.id, id));
  return (row && orderOf(row.order)[0]) ?? null;
}

/** The tickets of an order, as a list shows them. */
async function ticketsOf(db: Reads, orderId: string): Promise<OrderedTicket[]> {
  const rows = await db
    .select({
      id: tickets.id,
      name: sql<string>`json_extract(${tickets.ticket}, '$.name')`,
      kind: sql<string>`json_extract(${tickets.ticket}, '$.piece.kind')`,
      samePieceAs: sql<string | null>`json_extract(${tickets.ticket}, '$.samePieceAs')`,
      settled: sql<number>`json_array_length(${tickets.ticket}, '$.settled')`,
      pieces: tickets.pieces,
      loggedAs: tickets.loggedAs,
      deletedAt: tickets.deletedAt,
    })
    .from(tickets)
    .where(and(eq(tickets.orderId, orderId), sql`json_valid(${tickets.ticket})`))
    .orderBy(asc(tickets.id));
  return rows.map(({ deletedAt, ...row }) => ({ ...row, onBench: deletedAt === null }));
}

export async function readOrder(db: Reads, id: string): Promise<OrderDetail | null> {
  const order = await findOrder(db, id);
  if (!order) return null;
  const customer = order.customerId === null ? null : await findCustomer(db, order.customerId);
  return { order, customer, tickets: await ticketsOf(db, id) };
}

/** All orders that are on the book and can be read. */
export async function allOrders(db: Reads): Promise<Order[]> {
  const rows = await db
    .select({ order: textOf(orders.order) })
    .from(orders)
    .where(isNull(orders.deletedAt))
    .orderBy(asc(orders.id));
  return rows.flatMap(({ order }) => orderOf(order));
}
