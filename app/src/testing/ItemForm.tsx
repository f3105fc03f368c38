import type { DisplayUnits } from '@zt/core/base/units/length';
import { SHELF_ITEMS, type Shelf, type ShelfNoun } from '@zt/core/model/shelf';
import { type ReactNode, useState } from 'react';
import { FieldsContext } from '../components/ui/fields';
import { useThing } from '../hooks/useThing';

interface ItemFormProps<N extends ShelfNoun> {
  noun: N;
  start: Shelf[N][number];
  units?: DisplayUnits;
  /** Hears every item that is saved. */
  onItem?: (item: Shelf[N][number]) => void;
  children: (item: Shelf[N][number], put: (item: Shelf[N][number]) => void) => ReactNode;
}

/** A form over one item of the shelf, which keeps what it saves as the shelf would. */
export function ItemForm<N extends ShelfNoun>(props: ItemFormProps<N>) {
  const { noun, start, units = { system: 'mm' }, onItem, children } = props;
  const [item, setItem] = useState<Shelf[N][number]>(start);
  const { fields, put } = useThing<Shelf[N][number]>({
    thing: item,
    reader: units,
    schema: SHELF_ITEMS[noun],
    onThing: (saved) => {
      setItem(saved);
      onItem?.(saved);
    },
  });
  return <FieldsContext.Provider value={fields}>{children(item, put)}</FieldsContext.Provider>;
}
