import type { Ticket } from '@zt/core';
import { useMemo } from 'react';
import { useTicketsQuery } from '../services/ticketsApi';

/** The tickets on the bench: those that are not in the logbook yet. */
export function useBenchTickets(): Ticket[] {
  const { data } = useTicketsQuery();
  return useMemo(() => (data ?? []).filter((k) => k.loggedAs === null).map((k) => k.ticket), [data]);
}
