import type { Shelf } from '@zt/core';
import { isNull } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { shelfItems } from '../../db/schema/shelfItems';
import { shelfOf } from './map';

export async function readShelf(db: Pick<Db, 'select'>): Promise<Shelf> {
  const rows = await db
    .select({ noun: shelfItems.noun, item: shelfItems.item })
    .from(shelfItems)
    .where(isNull(shelfItems.deletedAt))
    .orderBy(shelfItems.id);
  return shelfOf(rows);
}
