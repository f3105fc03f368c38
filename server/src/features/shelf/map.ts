import { EMPTY_SHELF, SHELF_NOUNS, type Shelf, type ShelfNoun } from '@zt/core';

/** Rows to a shelf. Every row was read through its schema before it was kept. */
export function shelfOf(rows: readonly { noun: ShelfNoun; item: unknown }[]): Shelf {
  const of = (noun: ShelfNoun) => rows.filter((row) => row.noun === noun).map((row) => row.item);
  return { ...EMPTY_SHELF, ...Object.fromEntries(SHELF_NOUNS.map((noun) => [noun, of(noun)])) };
}
