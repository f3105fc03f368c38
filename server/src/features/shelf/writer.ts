import type { ShelfNoun } from '@zt/core';
import { eq } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { shelfItems } from '../../db/schema/shelfItems';

/** Puts an item on the shelf or changes it; one taken off before comes back. */
export async function putItem(tx: Transaction, noun: ShelfNoun, item: { id: string }): Promise<void> {
  const row = { id: item.id, noun, item, deletedAt: null };
  await tx.insert(shelfItems).values(row).onConflictDoUpdate({ target: shelfItems.id, set: row });
}

/** Takes an item off the shelf. Returns whether there was one. */
export async function removeItem(tx: Transaction, id: string, deletedAt: string): Promise<boolean> {
  const changed = await tx
    .update(shelfItems)
    .set({ deletedAt })
    .where(eq(shelfItems.id, id))
    .returning({ id: shelfItems.id });
  return changed.length > 0;
}
