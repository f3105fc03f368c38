import type { ShelfChanges } from '../model/api';
import type { Shelf, ShelfNoun } from '../model/shelf';
import { amountsOf, type ItemOf } from './amounts';
import { putTogether } from './putTogether';

/**
 * The shelf with changes that the shop's computer has not acknowledged yet: as it will have it, if nobody else changes
 * anything meanwhile. Nouns that are not changed stay the same lists.
 */
export function shelfWith(shelf: Shelf, { put = [], remove = [], sending }: ShelfChanges): Shelf {
  const who = { by: sending?.name ?? '', when: '' };
  const changed = new Map<ShelfNoun, Map<string, ItemOf>>();
  const itemsOf = (noun: ShelfNoun): Map<string, ItemOf> => {
    const items = changed.get(noun) ?? new Map(shelf[noun].map((item): [string, ItemOf] => [item.id, item]));
    changed.set(noun, items);
    return items;
  };
  for (const { noun, item, base } of put as { noun: ShelfNoun; item: ItemOf; base?: ItemOf }[]) {
    const items = itemsOf(noun);
    const value = items.get(item.id) ?? null;
    const had = value ? amountsOf(noun, value as never) : {};
    items.set(item.id, putTogether(noun, { value, had } as never, { item, base } as never, who).item);
  }
  for (const { noun, id } of remove) itemsOf(noun).delete(id);
  return {
    ...shelf,
    ...Object.fromEntries([...changed].map(([noun, items]) => [noun, [...items.values()]])),
  };
}
