import type { ShelfNoun } from '../model/shelf';
import { SUPPLIES } from '../stock/supplies';
import type { ItemOf } from './amounts';

/** What of an item is bought: its figure, how much there is of it, and the unit it is bought in. */
export interface Bought {
  figure: 'metresLeft' | 'left';
  left: number;
  unit: string;
}

/** What of an item is bought by the metre or the piece; null where nothing is, or the shop does not count it. */
export function boughtOf<N extends ShelfNoun>(item: ItemOf<N>): Bought | null {
  if ('left' in item && 'type' in item)
    return { figure: 'left', left: item.left, unit: SUPPLIES[item.type].unit };
  if ('metresLeft' in item && item.metresLeft !== null)
    return { figure: 'metresLeft', left: item.metresLeft, unit: 'm' };
  return null;
}
