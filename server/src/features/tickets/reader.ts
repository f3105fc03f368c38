import { type KeptTicket, type Ticket, TicketSchema, withTodaysFields } from '@zt/core';
import { and, eq, isNull, sql } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { type Kept, readKept, textOf } from '../../db/kept';
import { logEntries } from '../../db/schema/logEntries';
import { tickets } from '../../db/schema/tickets';

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
  loggedAs: sql<string | null>`max(${logEntries.id})`,
};

const select = (db: Pick<Db, 'select'>) =>
  db
    .select(columns)
    .from(tickets)
    .leftJoin(logEntries, and(eq(logEntries.ticketId, tickets.id), isNull(logEntries.deletedAt)));
type Row = Awaited<ReturnType<typeof select>>[number];

const ticketOf = (text: string): Kept<Ticket> => readKept(text, TicketSchema, withTodaysFields);

function keptOf({ ticket, rev, updatedAt, deletedAt, loggedAs }: Row): KeptTicket[] {
  const kept = ticketOf(ticket);
  return kept.ok ? [{ ticket: kept.value, rev, updatedAt, loggedAs, onBench: deletedAt === null }] : [];
}

/** All tickets on the bench that can be read, oldest id first (ids sort by time). */
export async function listTickets(db: Pick<Db, 'select'>): Promise<KeptTicket[]> {
  const rows = await select(db).where(isNull(tickets.deletedAt)).groupBy(tickets.id).orderBy(tickets.id);
  return rows.flatMap(keptOf);
}

/** One ticket; null when there is none, or what is kept of it cannot be read. */
export async function findTicket(db: Pick<Db, 'select'>, id: string): Promise<KeptTicket | null> {
  const [row] = await select(db).where(eq(tickets.id, id)).groupBy(tickets.id);
  return (row && keptOf(row)[0]) ?? null;
}

/** The rows of the bench, or one of them, as far as they can be read. */
export async function readTicketRows(db: Pick<Db, 'select'>, id?: string): Promise<TicketRow[]> {
  const rows = await db
    .select({ id: tickets.id, ticket: textOf(tickets.ticket), rev: tickets.rev })
    .from(tickets)
    .where(and(isNull(tickets.deletedAt), id === undefined ? undefined : eq(tickets.id, id)))
    .orderBy(tickets.id);
  return rows.map((row) => ({ id: row.id, rev: row.rev, kept: ticketOf(row.ticket) }));
}
