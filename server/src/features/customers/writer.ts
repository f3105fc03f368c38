import { type Customer, CustomerSchema } from '@zt/core/model/customer';
import type { SaveCustomer } from '@zt/core/model/ordersApi';
import type { Transaction } from '../../db/client';
import { customers } from '../../db/schema/customers';
import { puttingTogether } from '../together';
import { findCustomer } from './reader';

/** Saves a customer, put together with what others made of it meanwhile; returns it as it is kept. */
export async function saveCustomer(
  tx: Transaction,
  { customer: mine, base, sending }: SaveCustomer,
  now: string,
): Promise<Customer> {
  const theirs = await findCustomer(tx, mine.id);
  const of = { noun: 'customer' as const, id: mine.id };
  const saved = { mine, base, theirs, schema: CustomerSchema };
  const together = await puttingTogether<Customer>(tx, saved, { sent: { sending, now }, of });
  if (!together) return theirs ?? mine;
  const row = { id: together.id, customer: together, name: together.name, updatedAt: now, deletedAt: null };
  await tx.insert(customers).values(row).onConflictDoUpdate({ target: customers.id, set: row });
  return together;
}
