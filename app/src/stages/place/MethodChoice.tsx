import type { MarkMethod } from '@zt/core/model/ticket/place';
import { Choice } from '../../components/ui/Choice';
import { usePlan, useTicketActs } from '../../hooks/useTicket';

const METHOD_NAMES: Record<MarkMethod, string> = {
  tape: 'halve with the tape',
  fold: 'fold and press',
  join: 'join landmarks',
  template: 'paper template',
  wear: 'on the person',
};

/** By what the spot is found on the cloth. */
export function MethodChoice() {
  const { place } = usePlan('place');
  const { change } = useTicketActs();
  return place ? (
    <Choice
      label="Find the spot by"
      small
      options={place.methods.map((id) => ({ id, name: METHOD_NAMES[id] }))}
      chosen={place.method}
      onChoose={(method) => change({ stage: 'place', set: { method } })}
    />
  ) : null;
}
