import type { z } from 'zod';
import type { Offer } from '../model/offer';
import { SHELF_ITEMS, type ShelfNoun } from '../model/shelf';
import { mergeFitting } from '../sync/merge';
import {
  type Amounts,
  amountsOf,
  difference,
  type ItemOf,
  type Moved,
  withAmountsMoved,
  withAmountsOf,
} from './amounts';

/** A change of an item: as it is to be, and as it was when it was changed. */
export interface ItemChange<N extends ShelfNoun = ShelfNoun> {
  item: ItemOf<N>;
  /** Undefined: what is to be takes the place of what is. */
  base?: ItemOf<N> | undefined;
}

/**
 * An item as it is kept, null where it cannot be read or there is none, with a change: put together field by field,
 * its amounts moved from what it had by what they were changed by.
 */
export function putTogether<N extends ShelfNoun>(
  noun: N,
  { value, had }: { value: ItemOf<N> | null; had: Amounts },
  { item, base }: ItemChange<N>,
  who: Pick<Offer, 'by' | 'when'>,
): Moved<N> {
  const from = value && base ? base : null;
  const change = difference(from ? amountsOf(noun, from) : had, amountsOf(noun, item));
  const schema = SHELF_ITEMS[noun] as unknown as z.ZodType<ItemOf<N>>;
  const fits = (thing: ItemOf<N>) => schema.safeParse(thing).success;
  if (!value || !from) return withAmountsMoved(noun, item, { had, change });
  // Of amounts nobody is asked: both changes of them count.
  const three = {
    base: withAmountsOf(noun, from, value),
    mine: withAmountsOf(noun, item, value),
    theirs: withAmountsOf(noun, value, value),
  };
  return withAmountsMoved(noun, mergeFitting<ItemOf<N>>(three, who, fits), { had, change });
}
