import type { Machine, Shelf, ShelfNoun } from '../model/shelf';
import type { ShelfUse } from '../model/shelfUse';
import {
  type Amounts,
  amountsOf,
  hoursFigure,
  type ItemOf,
  looseFigure,
  rounded,
  sum,
  withAmountsMoved,
} from './amounts';

const one = (figure: string, amount: number): Amounts => ({ [figure]: amount });

/** What a use changes of its item's amounts: taken off the shelf is negative, hours stitched are positive. */
export function changeBy(use: ShelfUse): Amounts {
  switch (use.noun) {
    case 'materials':
      return [
        one('metresLeft', -use.metres),
        ...use.sheets.map((size) => one(looseFigure(size), -1)),
        ...use.offcuts.map((size) => one(looseFigure(size), 1)),
      ].reduce(sum);
    case 'threads':
      return one('metresLeft', -use.metres);
    case 'machines':
      return Object.fromEntries(use.hours.map((hours, i) => [hoursFigure(i), hours]));
    case 'supplies':
      return one('left', -use.amount);
  }
}

/** The other way round. */
export const undoing = (change: Amounts): Amounts =>
  Object.fromEntries(Object.entries(change).map(([figure, amount]) => [figure, 0 - amount]));

/**
 * An item with what is no amount as a piece left it, or as it was before: the bobbin in a machine. Taking the piece
 * back gives back the bobbin before it, unless there is another in the machine by now.
 */
export function withBobbin<T extends ItemOf>(item: T, use: ShelfUse, by: 1 | -1): T {
  if (use.noun !== 'machines' || !use.bobbin) return item;
  const { was } = use.bobbin;
  const is = use.bobbin.is === null ? null : Math.max(0, rounded(use.bobbin.is));
  const { bobbinLeftM } = item as Machine;
  const now = by === 1 ? is : bobbinLeftM === is ? was : bobbinLeftM;
  return { ...item, bobbinLeftM: now };
}

/** A use with the item of the shelf that it changes, as that item then is. */
type ChangedItem = { [N in ShelfNoun]: { noun: N; item: ItemOf<N> } }[ShelfNoun];

/**
 * The items of a shelf that uses change, as they are once taken (`by` 1) or given back (`by` −1). What is no longer
 * on the shelf is passed over, and so is an offcut that was used up in between.
 */
export function shelfAfter(uses: readonly ShelfUse[], shelf: Shelf, by: 1 | -1): ChangedItem[] {
  return uses.flatMap((use) => {
    const items: readonly ItemOf[] = shelf[use.noun];
    const item = items.find(({ id }) => id === use.id);
    if (!item) return [];
    const change = by === 1 ? changeBy(use) : undoing(changeBy(use));
    const had = amountsOf(use.noun, item as never);
    const { item: next } = withAmountsMoved(use.noun, withBobbin(item, use, by) as never, { had, change });
    return [{ noun: use.noun, item: next } as ChangedItem];
  });
}
