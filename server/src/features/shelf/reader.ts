import { EMPTY_SHELF, SHELF_ITEMS, SHELF_NOUNS, type Shelf, type ShelfNoun } from '@zt/core/model/shelf';
import { and, eq, isNull } from 'drizzle-orm';
import type { Db } from '../../db/client';
import { type Kept, readKept, textOf } from '../../db/kept';
import { shelfItems } from '../../db/schema/shelfItems';

type Item = Shelf[ShelfNoun][number];
export interface ShelfRow {
  id: string;
  noun: ShelfNoun;
  kept: Kept<Item>;
}

const columns = { id: shelfItems.id, noun: shelfItems.noun, item: textOf(shelfItems.item) };
const rowOf = ({ id, noun, item }: { id: string; noun: ShelfNoun; item: string }): ShelfRow => ({
  id,
  noun,
  kept:
    noun in SHELF_ITEMS
      ? readKept<Item>(item, SHELF_ITEMS[noun])
      : { ok: false, raw: null, text: item, why: 'Nothing of its kind is kept on a shelf.' },
});

/** Every item on the shelf, as far as it can be read. */
export async function readShelfRows(db: Pick<Db, 'select'>): Promise<ShelfRow[]> {
  const rows = await db
    .select(columns)
    .from(shelfItems)
    .where(isNull(shelfItems.deletedAt))
    .orderBy(shelfItems.id);
  return rows.map(rowOf);
}

/** One item by its id, whether it was taken off or not; null when there never was one. */
export async function findShelfRow(db: Pick<Db, 'select'>, id: string): Promise<ShelfRow | null> {
  const [row] = await db
    .select(columns)
    .from(shelfItems)
    .where(and(eq(shelfItems.id, id)));
  return row ? rowOf(row) : null;
}

/** What the shop owns. What cannot be read is set aside, and never takes the rest with it. */
export async function readShelf(db: Pick<Db, 'select'>): Promise<Shelf> {
  const rows = await readShelfRows(db);
  const of = (noun: ShelfNoun) =>
    rows.flatMap((row) => (row.noun === noun && row.kept.ok ? [row.kept.value] : []));
  return { ...EMPTY_SHELF, ...Object.fromEntries(SHELF_NOUNS.map((noun) => [noun, of(noun)])) };
}
