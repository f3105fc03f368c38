import type { KeptEntry, LogFilter, Logged, LogOrder, LogPage, LogPiece } from '@zt/core';
import { api } from './api';

/** The logbook. */
export const logbookApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** Page by page, the latest first unless it is asked otherwise. */
    logbook: build.infiniteQuery<LogPage, LogFilter & Partial<LogOrder>, string>({
      infiniteQueryOptions: { initialPageParam: '', getNextPageParam: ({ next }) => next ?? undefined },
      query: ({ queryArg, pageParam: after }) => ({
        url: '/logbook',
        params: { ...queryArg, ...(after === '' ? {} : { after }) },
      }),
      providesTags: ['logbook'],
    }),
    /** An entry is kept as it was logged: nothing asks for it anew. */
    entry: build.query<KeptEntry, string>({ query: (id) => `/logbook/${id}` }),
    addEntry: build.mutation<Logged, LogPiece>({
      query: (piece) => ({ url: '/logbook', method: 'POST', body: piece }),
      invalidatesTags: ['logbook', 'tickets', 'ticket', 'shelf', 'movements'],
    }),
    removeEntry: build.mutation<unknown, string>({
      query: (id) => ({ url: `/logbook/${id}`, method: 'DELETE' }),
      invalidatesTags: ['logbook', 'tickets', 'ticket', 'shelf', 'movements'],
    }),
  }),
});

export const { useLogbookInfiniteQuery, useEntryQuery } = logbookApi;
