import { SHELF_ITEMS, SHELF_NOUNS, SHELF_ROOM } from '@zt/core';
import { z } from 'zod';
import type { Transaction } from '../../db/client';
import { checkRoom, markItem, putItem } from './writer';

/** No batch is longer than the fullest list of a shelf. */
const MOST = SHELF_ROOM.threads;
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

/** Makes every change of a batch in the transaction given. */
export async function applyBatch(tx: Transaction, { put, remove }: Batch, now: string): Promise<void> {
  for (const { noun, item } of put) await putItem(tx, noun, item);
  for (const row of remove) await markItem(tx, row, now);
  for (const noun of new Set(put.map((each) => each.noun))) await checkRoom(tx, noun);
}
