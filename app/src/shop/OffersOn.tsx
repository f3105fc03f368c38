import { offeredText } from '@zt/core/sync/inWords';
import type { Shared } from '@zt/core/sync/merge';
import { offerLeft, offerTaken } from '@zt/core/sync/offers';
import type { ComponentProps } from 'react';
import { OfferedField } from '../components/OfferedField';
import { useShop } from './useShop';

interface OffersOnProps<T extends Shared> {
  thing: T;
  schema: ComponentProps<typeof OfferedField>['schema'];
  onThing: (thing: T) => void;
}

/** Fields of an item or of the house rules that were changed on two devices, each with both values. */
export function OffersOn<T extends Shared>({ thing, schema, onThing }: OffersOnProps<T>) {
  const { units } = useShop();
  return Object.entries(thing.offers ?? {}).map(([id, offer]) => (
    <OfferedField
      key={id}
      schema={schema}
      thing={thing}
      offer={offer}
      text={offeredText(thing, offer)}
      units={units}
      onSettle={(take) => onThing(take ? offerTaken(thing, id) : offerLeft(thing, id))}
    />
  ));
}
