import type { Stage } from '@zt/core/model/stages';
import { TicketSchema } from '@zt/core/model/ticket';
import { OfferedField } from '../components/OfferedField';
import { useFindings, useTicket, useUnits } from '../hooks/useTicket';
import { offerSettled } from '../store/editor';
import { useAppDispatch } from '../store/store';

/** Fields of this stage that were changed on two devices, each with both values. */
export function OffersOf({ stage }: { stage: Stage }) {
  const ticket = useTicket();
  const units = useUnits();
  const dispatch = useAppDispatch();
  return useFindings(stage).map(({ code, field: id = '', text }) => {
    const offer = code === 'offered' ? ticket.offers[id] : undefined;
    return offer ? (
      <OfferedField
        key={id}
        schema={TicketSchema}
        thing={ticket}
        offer={offer}
        text={text}
        units={units}
        onSettle={(take) => dispatch(offerSettled({ id, take }))}
      />
    ) : null;
  });
}
