import type { ShelfBatch } from '@zt/core';
import type { Transaction } from '../../db/client';
import { checkRoom, markItem, putItem } from './writer';

/** Makes every change of a batch in the transaction given. */
export async function applyBatch(tx: Transaction, { put, remove }: ShelfBatch, now: string): Promise<void> {
  for (const { noun, item } of put) await putItem(tx, noun, item);
  for (const row of remove) await markItem(tx, row, now);
  for (const noun of new Set(put.map((each) => each.noun))) await checkRoom(tx, noun);
}
