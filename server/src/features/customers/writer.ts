import { type Customer, CustomerSchema } from '@zt/core/model/customer';
import type { SaveCustomer } from '@zt/core/model/ordersApi';
import { mergeFitting } from '@zt/core/uses/sharing/merge';
import type { Transaction } from '../../db/client';
import { customers } from '../../db/schema/customers';
import { keepEarlier } from '../history/writer';
import { takeOnce, whoSent } from '../sending';
import { findCustomer } from './reader';

const fits = (customer: Customer): boolean => CustomerSchema.safeParse(customer).success;

/** Saves a customer, put together with what others made of it meanwhile; returns it as it is kept. */
export async function saveCustomer(
  tx: Transaction,
  { customer, base, sending }: SaveCustomer,
  now: string,
): Promise<Customer> {
  const [sent, theirs] = [{ sending, now }, await findCustomer(tx, customer.id)];
  if (!(await takeOnce(tx, sent))) return theirs ?? customer;
  if (theirs) await keepEarlier(tx, { noun: 'customer', id: customer.id }, sent);
  const together =
    base && theirs ? mergeFitting({ base, mine: customer, theirs }, whoSent(sent), fits) : customer;
  const row = { id: together.id, customer: together, name: together.name, updatedAt: now };
  await tx.insert(customers).values(row).onConflictDoUpdate({ target: customers.id, set: row });
  return together;
}
