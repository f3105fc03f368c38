import type { Ticket } from '@zt/core';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { tickets } from '../../db/schema/tickets';

export type SaveResult =
  | { ok: true; rev: number; onBench: boolean }
  | { ok: false; code: 'conflict'; rev: number };

/**
 * Saves a ticket over the revision it was read at (0: it is new). Refuses when another save came between. One that
 * was taken off the bench stays off it.
 */
export async function saveTicket(
  tx: Transaction,
  save: { ticket: Ticket; rev: number; now: string },
): Promise<SaveResult> {
  const { ticket, rev, now } = save;
  const [kept] = await tx
    .select({ rev: tickets.rev, deletedAt: tickets.deletedAt })
    .from(tickets)
    .where(eq(tickets.id, ticket.id));
  const current = kept?.rev ?? 0;
  if (current !== rev) return { ok: false, code: 'conflict', rev: current };
  const row = { id: ticket.id, ticket, rev: rev + 1, updatedAt: now, deletedAt: kept?.deletedAt ?? null };
  await tx.insert(tickets).values(row).onConflictDoUpdate({ target: tickets.id, set: row });
  return { ok: true, rev: row.rev, onBench: row.deletedAt === null };
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
