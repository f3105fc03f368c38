import type { BenchPage, KeptTicket, SavedTicket, SaveTicket } from '@zt/core/model/api';
import { api } from './api';

/** The tickets on the bench. */
export const ticketsApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** The bench, page by page, soonest due first; of those in which the words are found that are asked for. */
    tickets: build.infiniteQuery<BenchPage, string, string>({
      infiniteQueryOptions: { initialPageParam: '', getNextPageParam: ({ next }) => next ?? undefined },
      // The first page of all is asked for under the address that the page itself asks at once (shell/early.js).
      query: ({ queryArg: q, pageParam: after }) =>
        q === '' && after === ''
          ? '/tickets'
          : { url: '/tickets', params: { ...(q === '' ? {} : { q }), ...(after === '' ? {} : { after }) } },
      providesTags: ['tickets'],
    }),
    ticket: build.query<KeptTicket, string>({
      query: (id) => `/tickets/${id}`,
      keepUnusedDataFor: 0,
      providesTags: ['ticket'],
    }),
    saveTicket: build.mutation<SavedTicket, SaveTicket>({
      query: (body) => ({ url: `/tickets/${body.ticket.id}`, method: 'PUT', body }),
      invalidatesTags: ['earlier'],
    }),
    removeTicket: build.mutation<unknown, string>({
      query: (id) => ({ url: `/tickets/${id}`, method: 'DELETE' }),
      invalidatesTags: ['tickets'],
    }),
    restoreTicket: build.mutation<unknown, string>({
      query: (id) => ({ url: `/tickets/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['tickets'],
    }),
  }),
});

/** The whole bench, as it is asked for where nothing is sought. */
export const ALL = '';

/** A ticket in the pages of the bench, as it is kept now: only it changes there. One that is new joins the first. */
export const benchWith = (kept: KeptTicket, { isNew }: { isNew: boolean }) =>
  ticketsApi.util.updateQueryData('tickets', ALL, ({ pages }) => {
    for (const page of pages) {
      const at = page.tickets.findIndex(({ ticket }) => ticket.id === kept.ticket.id);
      if (at >= 0) {
        page.tickets[at] = kept;
        return;
      }
    }
    const [first] = pages;
    if (!isNew || !first || !kept.onBench || kept.loggedAs !== null) return;
    first.tickets.push(kept);
    first.total += 1;
  });

export const { useTicketsInfiniteQuery, useTicketQuery } = ticketsApi;
