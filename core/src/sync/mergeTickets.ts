import type { Offer } from '../model/offer';
import { type Ticket, TicketSchema } from '../model/ticket';
import { mergeFitting, type Three } from './merge';

const fits = (ticket: Ticket): boolean => TicketSchema.safeParse(ticket).success;

/** What two devices made of one ticket, put together; what comes out can always be saved. */
export const mergeTickets = (three: Three<Ticket>, who: Pick<Offer, 'by' | 'when'>): Ticket =>
  mergeFitting(three, who, fits);
