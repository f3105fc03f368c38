import type { KeptTicket } from '@zt/core/model/api';
import type { Ticket } from '@zt/core/model/ticket';
import { useEffect, useMemo } from 'react';
import { ALL, useTicketsInfiniteQuery } from '../services/ticketsApi';
import { selectBench } from '../store/shopNow';
import { useAppSelector } from '../store/store';

interface Bench {
  /** Those that were read, with what was done to them here. */
  kept: KeptTicket[];
  /** How many there are, read or not. */
  total: number;
  /** Whether there is a page after those that were read. */
  hasMore: boolean;
  /** Reads the next page; nothing where there is none. */
  more: () => void;
  isHere: boolean;
  failed: boolean;
}

/** The tickets on the bench that are not in the logbook, as they are on this device. */
export function useBench(): Bench {
  const asked = useTicketsInfiniteQuery(ALL, { refetchOnMountOrArgChange: true });
  const bench = useAppSelector(selectBench);
  const kept = useMemo(() => bench.filter(({ loggedAs }) => loggedAs === null), [bench]);
  const { data, hasNextPage, isFetching, fetchNextPage } = asked;
  const read = data?.pages.reduce((sum, page) => sum + page.tickets.length, 0) ?? 0;
  return {
    kept,
    total: kept.length + Math.max(0, (data?.pages[0]?.total ?? 0) - read),
    hasMore: hasNextPage,
    more: () => {
      if (hasNextPage && !isFetching) void fetchNextPage();
    },
    isHere: data !== undefined,
    failed: asked.isError,
  };
}

const has = ({ ticket: { name, customer } }: KeptTicket, q: string): boolean =>
  `${name} ${customer}`.toLowerCase().includes(q.toLowerCase());

/**
 * The tickets in which words are found, of all that are on the bench; of those that are here, while the shop's
 * computer does not answer. Null while none are sought.
 */
export function useSought(words: string, here: readonly KeptTicket[]): KeptTicket[] | null {
  const q = words.trim();
  const { data, isError } = useTicketsInfiniteQuery(q, { skip: q === '' });
  return useMemo(() => {
    if (q === '') return null;
    return isError
      ? here.filter((kept) => has(kept, q))
      : (data?.pages.flatMap((page) => page.tickets) ?? []);
  }, [q, data, isError, here]);
}

/**
 * The tickets of the whole bench, for what counts over all of them: page after page is read, null until the last is here.
 * Those that are here, while the shop’s computer does not answer.
 */
export function useBenchTickets(): Ticket[] | null {
  const { kept, hasMore, more, isHere, failed } = useBench();
  const isPart = hasMore && !failed;
  useEffect(() => {
    if (isPart) more();
  });
  const isAll = (isHere && !isPart) || failed;
  return useMemo(() => (isAll ? kept.map(({ ticket }) => ticket) : null), [kept, isAll]);
}
