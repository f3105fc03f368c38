import { type Ticket, TicketSchema } from '@zt/core/model/ticket';
import { planTicket } from '@zt/core/planner/plan';
import { useRules, useShelf, useTicket } from '../../hooks/useTicket';
import { Thumbnail } from '../../sheet/Thumbnail';
import { History } from '../../shop/History';
import { ticketPut } from '../../store/editor';
import { useAppDispatch } from '../../store/store';

/** How the ticket was before each sitting, drawn as it would be planned now. */
export function TicketHistory() {
  const ticket = useTicket();
  const shelf = useShelf();
  const rules = useRules();
  const dispatch = useAppDispatch();
  return (
    <History<Ticket>
      noun="ticket"
      id={ticket.id}
      schema={TicketSchema}
      now={ticket}
      draw={(value) => <Thumbnail plan={planTicket(value, shelf, rules)} />}
      onBringBack={(value) => dispatch(ticketPut(value))}
    />
  );
}
