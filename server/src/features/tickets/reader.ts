import type { BenchPage, BenchQuestionSchema, KeptTicket } from '@zt/core/model/api';
import { type Ticket, TicketSchema } from '@zt/core/model/ticket';
import { withTodaysFields } from '@zt/core/planner/newTicket';
import { and, count, eq, isNull } from 'drizzle-orm';
import type { z } from 'zod';
import type { Db } from '../../db/client';
import { type Kept, readKept, textOf } from '../../db/kept';
import { tickets } from '../../db/schema/tickets';
import { comesAfter, hasWords, keyOf, PAGE } from '../paging';

/** A row of the bench, as far as it can be read. */
export interface TicketRow {
  id: string;
  rev: number;
  kept: Kept<Ticket>;
}

const columns = {
  id: tickets.id,
  ticket: textOf(tickets.ticket),
  rev: tickets.rev,
  updatedAt: tickets.updatedAt,
  deletedAt: tickets.deletedAt,
  due: tickets.due,
  loggedAs: tickets.loggedAs,
};

const select = (db: Pick<Db, 'select'>) => db.select(columns).from(tickets);
type Row = Awaited<ReturnType<typeof select>>[number];

const ticketOf = (text: string): Kept<Ticket> => readKept(text, TicketSchema, withTodaysFields);

function keptOf({ ticket, rev, updatedAt, deletedAt, loggedAs }: Row): KeptTicket[] {
  const kept = ticketOf(ticket);
  return kept.ok ? [{ ticket: kept.value, rev, updatedAt, loggedAs, onBench: deletedAt === null }] : [];
}

/** On the bench: neither taken off it nor in the logbook. */
const isOpen = and(isNull(tickets.deletedAt), isNull(tickets.loggedAs));
const SOUGHT = ['name', 'customer'] as const;

/** A page of the bench, soonest due first; what cannot be read is left out of it, and counted. */
export async function readBench(
  db: Pick<Db, 'select'>,
  { q, after }: z.infer<typeof BenchQuestionSchema>,
): Promise<BenchPage> {
  const wanted = and(isOpen, hasWords(tickets.ticket, SOUGHT, q));
  const rows = await select(db)
    .where(and(wanted, comesAfter([tickets.due, tickets.id], after, 'rising')))
    .orderBy(tickets.due, tickets.id)
    .limit(PAGE + 1);
  const [counted] = await db.select({ total: count() }).from(tickets).where(wanted);
  const last = rows.length > PAGE ? rows[PAGE - 1] : undefined;
  return {
    tickets: rows.slice(0, PAGE).flatMap(keptOf),
    total: counted?.total ?? 0,
    next: last ? keyOf(last.due, last.id) : null,
  };
}

/** Whether the shop has a ticket at all. */
export const hasTickets = async (db: Pick<Db, 'select'>): Promise<boolean> =>
  (await db.select({ id: tickets.id }).from(tickets).limit(1)).length > 0;

/** One ticket; null when there is none, or what is kept of it cannot be read. */
export async function findTicket(db: Pick<Db, 'select'>, id: string): Promise<KeptTicket | null> {
  const [row] = await select(db).where(eq(tickets.id, id));
  return (row && keptOf(row)[0]) ?? null;
}

/** The rows of the bench, or one of them, as far as they can be read. */
export async function readTicketRows(db: Pick<Db, 'select'>, id?: string): Promise<TicketRow[]> {
  const rows = await db
    .select({ id: tickets.id, ticket: textOf(tickets.ticket), rev: tickets.rev })
    .from(tickets)
    .where(and(isOpen, id === undefined ? undefined : eq(tickets.id, id)))
    .orderBy(tickets.id);
  return rows.map((row) => ({ id: row.id, rev: row.rev, kept: ticketOf(row.ticket) }));
}
