import { SHELF_ITEMS, SHELF_NOUNS, type ShelfNoun } from '@zt/core';
import { and, count, eq, isNull } from 'drizzle-orm';
import { z } from 'zod';
import type { Transaction } from '../../db/client';
import { shelfItems } from '../../db/schema/shelfItems';
import { ApiError } from '../../errors';
import { markItem, putItem } from './writer';

const MOST = 5000;
const PutSchema = z.union(
  SHELF_NOUNS.map((noun) => z.object({ noun: z.literal(noun), item: SHELF_ITEMS[noun] })),
);
const RemoveSchema = z.object({ noun: z.enum(SHELF_NOUNS), id: z.string() });

/** Many changes of the shelf at once: all of them are made, or none. */
export const BatchSchema = z.object({
  put: z.array(PutSchema).max(MOST).default([]),
  remove: z.array(RemoveSchema).max(MOST).default([]),
});
export type Batch = z.infer<typeof BatchSchema>;

/** So many of one noun a shelf holds, as its schema has it. */
async function checkRoom(tx: Transaction, noun: ShelfNoun): Promise<void> {
  const [row] = await tx
    .select({ there: count() })
    .from(shelfItems)
    .where(and(eq(shelfItems.noun, noun), isNull(shelfItems.deletedAt)));
  if ((row?.there ?? 0) > MOST)
    throw new ApiError(400, 'too-many', `The shelf holds ${MOST} of the ${noun}. Nothing was changed.`);
}

/** Makes every change of a batch in the transaction given. */
export async function applyBatch(tx: Transaction, { put, remove }: Batch, now: string): Promise<void> {
  for (const { noun, item } of put) await putItem(tx, noun, item);
  for (const row of remove) await markItem(tx, row, now);
  for (const noun of new Set(put.map((each) => each.noun))) await checkRoom(tx, noun);
}
