import { SHELF_ITEMS, SHELF_ROOM, type ShelfNoun } from '@zt/core';
import { and, count, eq, isNull } from 'drizzle-orm';
import type { Transaction } from '../../db/client';
import { shelfItems } from '../../db/schema/shelfItems';
import { ApiError } from '../../errors';

/**
 * Puts an item on the shelf or changes it; one taken off before comes back. What is written passes the schema that
 * it is read with. An id stays with its noun.
 */
export async function putItem(tx: Transaction, noun: ShelfNoun, item: { id: string }): Promise<void> {
  const row = { id: item.id, noun, item: SHELF_ITEMS[noun].parse(item), deletedAt: null };
  const [kept] = await tx
    .select({ noun: shelfItems.noun })
    .from(shelfItems)
    .where(eq(shelfItems.id, item.id));
  if (kept && kept.noun !== noun)
    throw new ApiError(409, 'wrong-noun', `This id is one of the ${kept.noun}. Nothing was saved.`);
  await tx.insert(shelfItems).values(row).onConflictDoUpdate({ target: shelfItems.id, set: row });
}

/** Refuses the transaction when the shelf then holds more of a noun than there is room for. */
export async function checkRoom(tx: Transaction, noun: ShelfNoun): Promise<void> {
  const [row] = await tx
    .select({ there: count() })
    .from(shelfItems)
    .where(and(eq(shelfItems.noun, noun), isNull(shelfItems.deletedAt)));
  if ((row?.there ?? 0) > SHELF_ROOM[noun])
    throw new ApiError(400, 'too-many', `The shelf holds ${SHELF_ROOM[noun]} ${noun}. Nothing was changed.`);
}

/** Takes one of a noun off the shelf, or puts it back (`null`). Returns whether there was one. */
export async function markItem(
  tx: Transaction,
  { noun, id }: { noun: ShelfNoun; id: string },
  deletedAt: string | null,
): Promise<boolean> {
  const changed = await tx
    .update(shelfItems)
    .set({ deletedAt })
    .where(and(eq(shelfItems.id, id), eq(shelfItems.noun, noun)))
    .returning({ id: shelfItems.id });
  return changed.length > 0;
}
