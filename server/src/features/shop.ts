import type { HouseRules } from '@zt/core/model/houseRules';
import type { Shelf } from '@zt/core/model/shelf';
import type { Ticket } from '@zt/core/model/ticket';
import { planTicket } from '@zt/core/planner/plan';
import type { Db } from '../db/client';
import { notFound } from '../errors';
import { readRules } from './rules/reader';
import { readShelf } from './shelf/reader';
import { findTicket } from './tickets/reader';

type Reads = Pick<Db, 'select'>;

/** What a ticket is planned against. */
export interface Shop {
  shelf: Shelf;
  rules: HouseRules;
}

/** The shop's own shelf and house rules. */
export const readShop = async (db: Reads): Promise<Shop> => ({
  shelf: await readShelf(db),
  rules: await readRules(db),
});

/** The ticket that is given, or that is kept under an id; a missing one is not found. */
export async function ticketAsked(
  db: Reads,
  asked: { ticket: Ticket } | { ticketId: string },
): Promise<Ticket> {
  const ticket = 'ticket' in asked ? asked.ticket : (await findTicket(db, asked.ticketId))?.ticket;
  if (!ticket) throw notFound('ticket');
  return ticket;
}

/** A ticket, given or kept, with its plan against the shop as it is. */
export async function planKept(db: Reads, asked: Parameters<typeof ticketAsked>[1]) {
  const ticket = await ticketAsked(db, asked);
  const shop = await readShop(db);
  return { ...shop, ticket, plan: planTicket(ticket, shop.shelf, shop.rules) };
}
