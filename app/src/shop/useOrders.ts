import type { Customer } from '@zt/core/model/customer';
import { CustomerSchema } from '@zt/core/model/customer';
import { type Order, OrderSchema } from '@zt/core/model/order';
import type { OrderedTicket } from '@zt/core/model/ordersApi';
import { barePiecesOf } from '@zt/core/model/pieces';
import type { Ticket } from '@zt/core/model/ticket';
import { mergeFitting } from '@zt/core/sync/merge';
import type { Replica } from '@zt/core/sync/replica';
import { useMemo, useRef } from 'react';
import { useCustomersQuery, useOrderQuery } from '../services/ordersApi';
import type { Queued } from '../store/queue';
import { selectUnsentTickets } from '../store/shopNow';
import { useAppSelector } from '../store/store';

const MINE = { by: '', when: '' };
const fits = (order: Order) => OrderSchema.safeParse(order).success;
const fitsCustomer = (customer: Customer) => CustomerSchema.safeParse(customer).success;

/** An order with what was changed of it here and is not acknowledged yet. */
function orderWith(theirs: Order | null, waiting: readonly Queued[], id: string | null): Order | null {
  return waiting.reduce<Order | null>((now, one) => {
    if (one.endpoint !== 'saveOrder' || one.arg.order.id !== id) return now;
    const { order: mine, base } = one.arg;
    return base && now ? mergeFitting({ base, mine, theirs: now }, MINE, fits) : mine;
  }, theirs);
}

/** The tickets of an order with what was changed of them here and is not acknowledged yet. */
function orderedWith(
  listed: readonly OrderedTicket[],
  unsent: readonly Replica<Ticket>[],
  orderId: string | null,
): OrderedTicket[] {
  const lineOf = (ticket: Ticket): OrderedTicket => {
    const line = listed.find(({ id }) => id === ticket.id);
    return {
      id: ticket.id,
      name: ticket.name,
      kind: ticket.piece.kind,
      pieces: barePiecesOf(ticket),
      samePieceAs: ticket.samePieceAs,
      settled: ticket.settled.length,
      loggedAs: line?.loggedAs ?? null,
      onBench: line?.onBench ?? true,
    };
  };
  const isChanged = ({ id }: OrderedTicket) => unsent.some(({ value }) => value.id === id);
  const changed = unsent.filter(({ value }) => value.orderId === orderId).map(({ value }) => lineOf(value));
  const unchanged = listed.filter((line) => !isChanged(line));
  return [...unchanged, ...changed].sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** Customers with those that were changed or added here and are not acknowledged yet. */
function customersWith(kept: readonly Customer[], waiting: readonly Queued[]): Customer[] {
  const all = new Map(kept.map((customer) => [customer.id, customer]));
  for (const one of waiting) {
    if (one.endpoint !== 'saveCustomer') continue;
    const { customer: mine, base } = one.arg;
    const theirs = all.get(mine.id);
    all.set(mine.id, base && theirs ? mergeFitting({ base, mine, theirs }, MINE, fitsCustomer) : mine);
  }
  return [...all.values()].sort((a, b) => a.name.localeCompare(b.name));
}

const useQueue = () => useAppSelector(({ queue }) => queue.waiting);

/** Every customer of the shop, by name. */
export function useCustomers(): Customer[] {
  const { data } = useCustomersQuery();
  const waiting = useQueue();
  return useMemo(
    () =>
      customersWith(
        (data ?? []).map(({ customer }) => customer),
        waiting,
      ),
    [data, waiting],
  );
}

export interface OpenOrder {
  order: Order | null;
  customer: Customer | null;
  tickets: OrderedTicket[];
  failed: boolean;
  isHere: boolean;
}

/** One order as it stands here; null while it is not known, or there is none. */
export function useOrder(id: string | null): OpenOrder {
  const waiting = useQueue();
  /** Nobody but this device knows of it yet. */
  const isNew = waiting.some(
    (one) => one.endpoint === 'saveOrder' && one.arg.order.id === id && one.arg.base === undefined,
  );
  const { currentData: data, isError } = useOrderQuery(id ?? '', {
    refetchOnMountOrArgChange: true,
    skip: id === null || isNew,
  });
  const customers = useCustomers();
  const unsent = useAppSelector(selectUnsentTickets);
  const known = useMemo(() => orderWith(data?.order ?? null, waiting, id), [data, waiting, id]);
  /** While it is read anew it stays as it was: a field in the hand is not taken away. */
  const last = useRef<Order | null>(null);
  if (known) last.current = known;
  const order = known ?? (isError || last.current?.id !== id ? null : last.current);
  return {
    order,
    customer: customers.find((one) => one.id === order?.customerId) ?? null,
    tickets: useMemo(() => orderedWith(data?.tickets ?? [], unsent, id), [data, unsent, id]),
    failed: isError && order === null,
    isHere: data !== undefined || order !== null,
  };
}
