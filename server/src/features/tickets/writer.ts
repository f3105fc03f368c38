import type { SaveTicket } from '@zt/core/model/api';
import { barePiecesOf } from '@zt/core/model/pieces';
import type { Ticket } from '@zt/core/model/ticket';
import { mergeTickets } from '@zt/core/sync/mergeTickets';
import { type KeptAt, received } from '@zt/core/sync/replica';
import { eq } from 'drizzle-orm';
import isEqual from 'fast-deep-equal';
import type { Transaction } from '../../db/client';
import { NO_DAY, tickets } from '../../db/schema/tickets';
import { keepEarlier } from '../history/writer';
import { letGo, takeOnce, whoSent } from '../sending';
import { findTicket } from './reader';

export type SaveResult =
  | { ok: true; rev: number; onBench: boolean; ticket: Ticket }
  | { ok: false; code: 'conflict'; rev: number };

const NOTHING_YET = { rev: 0, deletedAt: null };

/** What is kept of a ticket and could be read; what is sent counts where nothing is, or it cannot be. */
async function keptAt(
  tx: Transaction,
  { ticket, rev }: SaveTicket,
): Promise<KeptAt<Ticket> & { deletedAt: string | null; isRead: boolean; isThere: boolean }> {
  const [row] = await tx
    .select({ rev: tickets.rev, deletedAt: tickets.deletedAt })
    .from(tickets)
    .where(eq(tickets.id, ticket.id));
  const kept = row ?? NOTHING_YET;
  const read = kept.rev === rev ? null : ((await findTicket(tx, ticket.id))?.ticket ?? null);
  return { ...kept, value: read ?? ticket, isRead: read !== null, isThere: row !== undefined };
}

/**
 * Saves a ticket over the revision it was read at (0: it is new). Where another save came between, both are put
 * together if it is said what this one was made from, else it is refused. A sending that was taken before changes
 * nothing, nor does a ticket that is kept just so. A ticket that was taken off the bench stays off it.
 */
export async function saveTicket(tx: Transaction, save: SaveTicket, now: string): Promise<SaveResult> {
  const { ticket, rev, base, sending } = save;
  const kept = await keptAt(tx, save);
  const onBench = kept.deletedAt === null;
  const sent = { sending, now };
  const isJustSo = kept.isRead && isEqual(kept.value, ticket);
  if (isJustSo || !(await takeOnce(tx, sent)))
    return { ok: true, rev: kept.rev, onBench, ticket: kept.value };
  if (kept.rev !== rev && !base) {
    await letGo(tx, sent);
    return { ok: false, code: 'conflict', rev: kept.rev };
  }
  const isUnreadable = kept.isThere && kept.rev !== rev && !kept.isRead;
  await keepEarlier(tx, { noun: 'ticket', id: ticket.id }, sent, isUnreadable);
  const made = { rev, base: base ?? ticket, value: ticket };
  const after = received(kept, made, (three) => mergeTickets(three, whoSent(sent)));
  const row = {
    ticket: after.value,
    rev: after.rev,
    updatedAt: now,
    deletedAt: kept.deletedAt,
    due: after.value.due ?? NO_DAY,
    orderId: after.value.orderId,
    pieces: barePiecesOf(after.value),
  };
  if (kept.isThere) await tx.update(tickets).set(row).where(eq(tickets.id, ticket.id));
  else await tx.insert(tickets).values({ id: ticket.id, ...row });
  return { ok: true, rev: row.rev, onBench, ticket: after.value };
}

/** Takes a ticket off the bench, or puts it back (`null`). Returns whether there was one. */
export async function markDeleted(tx: Transaction, id: string, deletedAt: string | null): Promise<boolean> {
  const changed = await tx
    .update(tickets)
    .set({ deletedAt })
    .where(eq(tickets.id, id))
    .returning({ id: tickets.id });
  return changed.length > 0;
}
