import { type Ticket, withTodaysFields } from '@zt/core';
import { and, eq, isNull, sql } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { logEntries } from '../../db/schema/logEntries';
import { tickets } from '../../db/schema/tickets';

/** A ticket as it is kept: with the count of its saves, and the log entry it ended in. */
export interface KeptTicket {
  ticket: Ticket;
  rev: number;
  updatedAt: string;
  loggedAs: string | null;
}

const columns = {
  ticket: tickets.ticket,
  rev: tickets.rev,
  updatedAt: tickets.updatedAt,
  loggedAs: sql<string | null>`max(${logEntries.id})`,
};

const select = (db: Pick<Db, 'select'>) =>
  db
    .select(columns)
    .from(tickets)
    .leftJoin(logEntries, and(eq(logEntries.ticketId, tickets.id), isNull(logEntries.deletedAt)));

const keptOf = (row: KeptTicket): KeptTicket => ({ ...row, ticket: withTodaysFields(row.ticket) });

/** All tickets that were not taken off the bench, oldest id first (ids sort by time). */
export async function listTickets(db: Pick<Db, 'select'>): Promise<KeptTicket[]> {
  const rows = await select(db).where(isNull(tickets.deletedAt)).groupBy(tickets.id).orderBy(tickets.id);
  return rows.map(keptOf);
}

export async function findTicket(db: Pick<Db, 'select'>, id: string): Promise<KeptTicket | null> {
  const [row] = await select(db).where(eq(tickets.id, id)).groupBy(tickets.id);
  return row ? keptOf(row) : null;
}
