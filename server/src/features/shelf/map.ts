import { type Shelf, ShelfSchema } from '@zt/core';
import type { ShelfNoun } from '../../db/schema/shelfItems';

/** The schema of one item of each noun. */
export const ITEM_SCHEMAS = {
  hoops: ShelfSchema.shape.hoops.element,
  machines: ShelfSchema.shape.machines.element,
  materials: ShelfSchema.shape.materials.element,
  threads: ShelfSchema.shape.threads.element,
} as const satisfies Record<ShelfNoun, unknown>;

/** Rows to a shelf. Every row was read through its schema before it was kept. */
export function shelfOf(rows: readonly { noun: ShelfNoun; item: unknown }[]): Shelf {
  const of = (noun: ShelfNoun) => rows.filter((row) => row.noun === noun).map((row) => row.item);
  return {
    hoops: of('hoops'),
    machines: of('machines'),
    materials: of('materials'),
    threads: of('threads'),
  } as Shelf;
}
