import { asUsed, type LogEntry, planTicket, shelfAfter, shelfUseOf } from '@zt/core';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { textOf } from '../../db/kept';
import { logEntries } from '../../db/schema/logEntries';
import { readRules } from '../rules/reader';
import { readShelf } from '../shelf/reader';
import { putItem } from '../shelf/writer';
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

/** Keeps an entry and takes off the shelf what the piece really used; an entry that is kept already takes nothing more. */
export async function logPiece(tx: Transaction, entry: LogEntry): Promise<void> {
  if (await isKept(tx, entry.id)) return;
  const [shelf, rules] = [await readShelf(tx), await readRules(tx)];
  const used = asUsed({ ...entry.ticket, log: entry.log });
  const taken = shelfUseOf(planTicket(used, shelf, rules), shelf, rules);
  await addEntry(tx, entry);
  await tx.update(logEntries).set({ taken }).where(eq(logEntries.id, entry.id));
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
