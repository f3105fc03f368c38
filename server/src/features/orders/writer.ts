import { type Order, OrderSchema } from '@zt/core/model/order';
import type { SaveOrder } from '@zt/core/model/ordersApi';
import { mergeFitting } from '@zt/core/uses/sharing/merge';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { orders } from '../../db/schema/orders';
import { NO_DAY } from '../../db/schema/tickets';
import { keepEarlier } from '../history/writer';
import { takeOnce, whoSent } from '../sending';
import { findOrder } from './reader';

const fits = (order: Order): boolean => OrderSchema.safeParse(order).success;

/** Saves an order, put together with what others made of it meanwhile; returns it as it is kept. One taken off stays off. */
export async function saveOrder(
  tx: Transaction,
  { order, base, sending }: SaveOrder,
  now: string,
): Promise<Order> {
  const [sent, theirs] = [{ sending, now }, await findOrder(tx, order.id)];
  if (!(await takeOnce(tx, sent))) return theirs ?? order;
  if (theirs) await keepEarlier(tx, { noun: 'order', id: order.id }, sent);
  const together = base && theirs ? mergeFitting({ base, mine: order, theirs }, whoSent(sent), fits) : order;
  const { id, name, due, state, customerId } = together;
  const row = { id, order: together, name, due: due ?? NO_DAY, state, customerId, updatedAt: now };
  await tx.insert(orders).values(row).onConflictDoUpdate({ target: orders.id, set: row });
  return together;
}

/** Takes an order off the book, or puts it back (`null`). Returns whether there was one. */
export async function markOrder(tx: Transaction, id: string, deletedAt: string | null): Promise<boolean> {
  const changed = await tx
    .update(orders)
    .set({ deletedAt })
    .where(eq(orders.id, id))
    .returning({ id: orders.id });
  return changed.length > 0;
}
