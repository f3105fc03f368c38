import {
  asUsed,
  frozenPlan,
  type LogEntry,
  type LogPiece,
  planTicket,
  shelfAfter,
  shelfUseOf,
  type Ticket,
} from '@zt/core';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { textOf } from '../../db/kept';
import { logEntries } from '../../db/schema/logEntries';
import { readShelf } from '../shelf/reader';
import { putItem } from '../shelf/writer';
import { readShop } from '../shop';
import { rowOf } from './map';
import { takenOf } from './reader';

/** Keeps an entry. Saying the same entry again changes nothing, so a repeated request is safe. */
export async function addEntry(tx: Transaction, entry: LogEntry): Promise<void> {
  await tx
    .insert(logEntries)
    .values(rowOf(entry))
    .onConflictDoUpdate({ target: logEntries.id, set: { deletedAt: null } });
}

const isKept = async (tx: Transaction, id: string): Promise<boolean> => {
  const [row] = await tx
    .select({ deletedAt: logEntries.deletedAt })
    .from(logEntries)
    .where(eq(logEntries.id, id));
  return row !== undefined && row.deletedAt === null;
};

/** Something the maker used that was not planned. */
const isUsedOtherwise = ({ log: { used } }: Ticket): boolean =>
  Object.values(used).some((what) => what !== null);

/**
 * Keeps a finished piece with its plan, and takes off the shelf what it really used; an entry that is kept already
 * takes nothing more.
 */
export async function logPiece(
  tx: Transaction,
  { id, loggedAt, ticket }: LogPiece & Pick<LogEntry, 'loggedAt'>,
): Promise<void> {
  if (await isKept(tx, id)) return;
  const { shelf, rules } = await readShop(tx);
  const plan = planTicket(ticket, shelf, rules);
  const used = isUsedOtherwise(ticket) ? planTicket(asUsed(ticket), shelf, rules) : plan;
  const taken = shelfUseOf(used, shelf, rules);
  await addEntry(tx, { id, loggedAt, ticket, plan: frozenPlan(plan), log: ticket.log });
  await tx.update(logEntries).set({ taken }).where(eq(logEntries.id, id));
  for (const { noun, item } of shelfAfter(taken, shelf, 1)) await putItem(tx, noun, item);
}

/** Takes an entry back, for undo, and gives the shelf what it took. Returns whether there was one. */
export async function takeBack(tx: Transaction, id: string, deletedAt: string): Promise<boolean> {
  if (!(await isKept(tx, id))) return false;
  const [row] = await tx
    .update(logEntries)
    .set({ deletedAt })
    .where(eq(logEntries.id, id))
    .returning({ taken: textOf(logEntries.taken) });
  const shelf = await readShelf(tx);
  for (const { noun, item } of shelfAfter(takenOf(row?.taken ?? '[]'), shelf, -1))
    await putItem(tx, noun, item);
  return true;
}
