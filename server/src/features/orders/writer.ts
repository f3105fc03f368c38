import { type Order, OrderSchema } from '@zt/core/model/order';
import type { SaveOrder } from '@zt/core/model/ordersApi';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { orders } from '../../db/schema/orders';
import { NO_DAY } from '../../db/schema/tickets';
import { puttingTogether } from '../together';
import { findOrder } from './reader';

/** Saves an order, put together with what others made of it meanwhile; returns it as it is kept. One taken off stays off. */
export async function saveOrder(
  tx: Transaction,
  { order: mine, base, sending }: SaveOrder,
  now: string,
): Promise<Order> {
  const theirs = await findOrder(tx, mine.id);
  const of = { noun: 'order' as const, id: mine.id };
  const saved = { mine, base, theirs, schema: OrderSchema };
  const together = await puttingTogether<Order>(tx, saved, { sent: { sending, now }, of });
  if (!together) return theirs ?? mine;
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
