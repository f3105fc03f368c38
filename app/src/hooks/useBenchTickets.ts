import type { KeptTicket, Ticket } from '@zt/core';
import { useMemo } from 'react';
import { useTicketsQuery } from '../services/ticketsApi';
import { selectBench } from '../store/shopNow';
import { useAppSelector } from '../store/store';

/** The tickets on the bench that are not in the logbook, as they are on this device; and how asking for them went. */
export function useBench(): { kept: KeptTicket[]; isHere: boolean; failed: boolean } {
  const asked = useTicketsQuery(undefined, { refetchOnMountOrArgChange: true });
  const bench = useAppSelector(selectBench);
  const kept = useMemo(() => bench.filter(({ loggedAs }) => loggedAs === null), [bench]);
  return { kept, isHere: asked.data !== undefined, failed: asked.isError };
}

/** Their tickets alone. */
export function useBenchTickets(): Ticket[] {
  const { kept } = useBench();
  return useMemo(() => kept.map(({ ticket }) => ticket), [kept]);
}
