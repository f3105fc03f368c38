import type { Ticket } from '@zt/core/model/ticket';
import isEqual from 'fast-deep-equal';
import { useEffect, useState } from 'react';
import { useTicket } from './useTicket';

/** So long nothing is changed before it is asked again, ms. */
const AT_REST_MS = 500;

/** The ticket as it was when it was last left alone: the logbook is not asked at every keystroke. */
export function useAtRest(): Ticket {
  const ticket = useTicket();
  const [asked, setAsked] = useState(ticket);
  useEffect(() => {
    const { piece, design, place, hoop, layers } = ticket;
    const { piece: p, design: d, place: pl, hoop: h, layers: l } = asked;
    if (isEqual([piece, design, place, hoop, layers], [p, d, pl, h, l])) return;
    const timer = setTimeout(() => setAsked(ticket), AT_REST_MS);
    return () => clearTimeout(timer);
  }, [ticket, asked]);
  return asked;
}
