import type { KeptEntry, LogFilter, Logged, LogPiece, LogSummary } from '@zt/core';
import { api } from './api';

/** The logbook. */
export const logbookApi = api.injectEndpoints({
  endpoints: (build) => ({
    logbook: build.query<LogSummary[], LogFilter>({
      query: (params) => ({ url: '/logbook', params }),
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

export const { useLogbookQuery, useEntryQuery } = logbookApi;
