import type { LogEntry } from '@zt/core';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { logEntries } from '../../db/schema/logEntries';
import { rowOf } from './map';

/** Keeps an entry. Saying the same entry again changes nothing, so a repeated request is safe. */
export async function addEntry(tx: Transaction, entry: LogEntry): Promise<void> {
  await tx
    .insert(logEntries)
    .values(rowOf(entry))
    .onConflictDoUpdate({ target: logEntries.id, set: { deletedAt: null } });
}

/** Takes an entry back, for undo. Returns whether there was one. */
export async function removeEntry(tx: Transaction, id: string, deletedAt: string): Promise<boolean> {
  const changed = await tx
    .update(logEntries)
    .set({ deletedAt })
    .where(eq(logEntries.id, id))
    .returning({ id: logEntries.id });
  return changed.length > 0;
}
