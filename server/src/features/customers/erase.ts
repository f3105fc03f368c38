import type { LogFilter } from '@zt/core/model/api';
import type { LogSummary } from '@zt/core/model/logEntry';
import { isOpenState, type Order, OrderSchema } from '@zt/core/model/order';
import type { Erased } from '@zt/core/model/ordersApi';
import type { Ticket } from '@zt/core/model/ticket';
import { and, eq, inArray, isNull, or, sql } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { readKept, textOf } from '../../db/kept';
import { customers } from '../../db/schema/customers';
import { earlierStates } from '../../db/schema/earlierStates';
import { logEntries } from '../../db/schema/logEntries';
import { orders } from '../../db/schema/orders';
import { searches } from '../../db/schema/searches';
import { tickets } from '../../db/schema/tickets';
import { ApiError, notFound } from '../../errors';
import { keepFacts } from '../logbook/facts';
import { findEntry } from '../logbook/reader';
import { readSearches } from '../searches/reader';
import { findTicket } from '../tickets/reader';
import { findCustomer } from './reader';

/** A name as a ticket has it, compared as people write it. */
const isCalled = (json: typeof tickets.ticket | typeof logEntries.summary, name: string) =>
  sql`lower(trim(json_extract(${json}, '$.customer'))) = ${name.trim().toLowerCase()}`;

/** A ticket without anything of a person: for whom it was, and the names that were stitched. */
function bare(ticket: Ticket): Ticket {
  const { names } = ticket.design;
  const rows = names?.rows.map((row, i) => ({ ...row, text: `name ${i + 1}` }));
  return {
    ...ticket,
    customer: '',
    unread: {},
    offers: {},
    design: { ...ticket.design, names: names && rows ? { ...names, rows } : names, nameSets: {} },
  };
}

/** An order of which only the craft and the money is left. */
const bareOrder = ({ offers: _, unread: __, ...order }: Order): Order => ({
  ...order,
  name: `An order of ${order.since.asked ?? order.due ?? 'a day'}`,
  customerId: null,
  brought: '',
  note: '',
});

interface TheirOrder {
  id: string;
  /** Null where it cannot be read. */
  order: Order | null;
  state: Order['state'];
  deletedAt: string | null;
}

/** What still waits on a customer: open orders, those that cannot be read, and tickets on the bench. Throws where anything does. */
function refuseWhileOpen(onBook: readonly TheirOrder[], onBench: number) {
  if (onBook.length === 0 && onBench === 0) return;
  const unread = onBook.filter(({ order }) => order === null).length;
  const open = onBook.length - unread;
  const what = [
    ...(open > 0 ? [`${open === 1 ? 'an order is' : `${open} orders are`} open`] : []),
    ...(unread > 0 ? [`${unread === 1 ? 'an order' : `${unread} orders`} cannot be read`] : []),
    ...(onBench > 0 ? [`${onBench === 1 ? 'a ticket is' : `${onBench} tickets are`} on the bench`] : []),
  ].join(' and ');
  throw new ApiError(
    409,
    'still-open',
    `For them ${what}: ${open + onBench > 0 ? 'hand it over, or take it off' : 'mend it, or take it away'} first. Nothing was erased.`,
  );
}

async function ordersOf(tx: Transaction, customerId: string): Promise<TheirOrder[]> {
  const { id, state, deletedAt } = orders;
  const rows = await tx
    .select({ id, state, deletedAt, text: textOf(orders.order) })
    .from(orders)
    .where(eq(orders.customerId, customerId));
  return rows.map(({ text, ...row }) => {
    const kept = readKept<Order>(text, OrderSchema);
    return { ...row, order: kept.ok ? kept.value : null };
  });
}

/** Of an order that cannot be read nobody can say what is the customer's in it: it goes as a whole. */
async function eraseOrders(tx: Transaction, theirs: readonly TheirOrder[]) {
  for (const { id, order } of theirs) {
    if (!order) {
      await tx.delete(orders).where(eq(orders.id, id));
      continue;
    }
    const next = bareOrder(order);
    await tx.update(orders).set({ order: next, name: next.name, customerId: null }).where(eq(orders.id, id));
  }
}

async function eraseTickets(tx: Transaction, ids: readonly string[]) {
  for (const id of ids) {
    const kept = await findTicket(tx, id);
    if (kept)
      await tx
        .update(tickets)
        .set({ ticket: bare(kept.ticket), rev: kept.rev + 1 })
        .where(eq(tickets.id, id));
  }
}

async function eraseEntries(tx: Transaction, ids: readonly string[]) {
  for (const id of ids) {
    const entry = await findEntry(tx, id);
    if (!entry) continue;
    const [row] = await tx
      .select({ summary: logEntries.summary })
      .from(logEntries)
      .where(eq(logEntries.id, id));
    const summary = { ...(row?.summary as LogSummary), customer: '' };
    const ticket = bare(entry.ticket);
    await tx.update(logEntries).set({ ticket, summary }).where(eq(logEntries.id, id));
    await keepFacts(tx, { ...entry, ticket });
  }
}

/** Kept searches look for this customer no more. */
async function eraseSearches(tx: Transaction, name: string) {
  for (const { id, filter } of await readSearches(tx)) {
    if (!filter.customer?.includes(name)) continue;
    const { customer, ...others } = filter as LogFilter & { customer: string[] };
    const left = customer.filter((one) => one !== name);
    const next = left.length > 0 ? { ...others, customer: left } : others;
    await tx.update(searches).set({ filter: next }).where(eq(searches.id, id));
  }
}

/**
 * Erases a customer: their row, their name on orders, tickets and entries, the names that were stitched for them, what
 * they brought, and every earlier state of these. What was made, and how, is kept. Refused while something is still open
 * for them. Returns what was changed; backups that were made before are counted by the caller.
 */
export async function eraseCustomer(tx: Transaction, id: string): Promise<Omit<Erased, 'backups'>> {
  const customer = await findCustomer(tx, id);
  if (!customer) throw notFound('customer');
  const theirs = await ordersOf(tx, id);
  const orderIds = theirs.map((row) => row.id);
  const ofOrders = orderIds.length > 0 ? inArray(tickets.orderId, orderIds) : undefined;
  const made = await tx
    .select({ id: tickets.id, loggedAs: tickets.loggedAs, deletedAt: tickets.deletedAt })
    .from(tickets)
    .where(and(sql`json_valid(${tickets.ticket})`, or(ofOrders, isCalled(tickets.ticket, customer.name))));
  refuseWhileOpen(
    theirs.filter(({ order, deletedAt, state }) => deletedAt === null && (!order || isOpenState(state))),
    made.filter(({ loggedAs, deletedAt }) => loggedAs === null && deletedAt === null).length,
  );
  const ticketIds = made.map((row) => row.id);
  const ofTickets = ticketIds.length > 0 ? inArray(logEntries.ticketId, ticketIds) : undefined;
  const entries = await tx
    .select({ id: logEntries.id })
    .from(logEntries)
    .where(and(isNull(logEntries.deletedAt), or(ofTickets, isCalled(logEntries.summary, customer.name))));
  await eraseOrders(tx, theirs);
  await eraseTickets(tx, ticketIds);
  await eraseEntries(
    tx,
    entries.map((row) => row.id),
  );
  await eraseSearches(tx, customer.name);
  await tx.delete(earlierStates).where(inArray(earlierStates.thingId, [id, ...orderIds, ...ticketIds]));
  await tx.delete(customers).where(eq(customers.id, id));
  await tx.run(sql`INSERT INTO log_words(log_words) VALUES ('optimize')`);
  return { orders: orderIds.length, tickets: ticketIds.length, entries: entries.length };
}
