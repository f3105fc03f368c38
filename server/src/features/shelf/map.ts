import { EMPTY_SHELF, SHELF_ITEMS, SHELF_NOUNS, type Shelf, type ShelfNoun } from '@zt/core';

/** Rows to a shelf. What was kept before a field was there has it as its schema says. */
export function shelfOf(rows: readonly { noun: ShelfNoun; item: unknown }[]): Shelf {
  const of = (noun: ShelfNoun) =>
    rows.filter((row) => row.noun === noun).map((row) => SHELF_ITEMS[noun].parse(row.item));
  return { ...EMPTY_SHELF, ...Object.fromEntries(SHELF_NOUNS.map((noun) => [noun, of(noun)])) };
}
