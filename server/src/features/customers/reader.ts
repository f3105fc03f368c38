import { type Customer, CustomerSchema } from '@zt/core/model/customer';
import { OPEN_STATES } from '@zt/core/model/order';
import type { Customers } from '@zt/core/model/ordersApi';
import { and, asc, count, eq, isNull, sql } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { readKept, textOf } from '../../db/kept';
import { customers } from '../../db/schema/customers';
import { orders } from '../../db/schema/orders';

type Reads = Pick<Db, 'select'>;

const customerOf = (text: string): Customer[] => {
  const kept = readKept<Customer>(text, CustomerSchema);
  return kept.ok ? [kept.value] : [];
};

/** One customer; null when there is none, or what is kept cannot be read. */
export async function findCustomer(db: Reads, id: string): Promise<Customer | null> {
  const [row] = await db
    .select({ customer: textOf(customers.customer) })
    .from(customers)
    .where(eq(customers.id, id));
  return (row && customerOf(row.customer)[0]) ?? null;
}

/** All customers that can be read, by id. */
export async function allCustomers(db: Reads): Promise<Customer[]> {
  const rows = await db
    .select({ customer: textOf(customers.customer) })
    .from(customers)
    .orderBy(asc(customers.id));
  return rows.flatMap(({ customer }) => customerOf(customer));
}

const IS_OPEN = sql.raw(OPEN_STATES.map((state) => `'${state}'`).join(', '));

/** All customers by name, each with how many orders there are, and how many of them are open. */
export async function readCustomers(db: Reads): Promise<Customers> {
  const rows = await db
    .select({
      customer: textOf(customers.customer),
      orders: count(orders.id),
      open: sql<number>`count(CASE WHEN ${orders.state} IN (${IS_OPEN}) THEN 1 END)`,
    })
    .from(customers)
    .leftJoin(orders, and(eq(orders.customerId, customers.id), isNull(orders.deletedAt)))
    .groupBy(customers.id)
    .orderBy(sql`${customers.name} COLLATE NOCASE`, asc(customers.id));
  return rows.flatMap(({ customer, ...counts }) =>
    customerOf(customer).map((one) => ({ customer: one, ...counts })),
  );
}
