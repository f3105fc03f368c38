import type { Earlier, EarlierState, HistoryNoun } from '@zt/core/model/history';
import { api } from './api';

/** How things were earlier. */
export const historyApi = api.injectEndpoints({
  endpoints: (build) => ({
    earlier: build.query<Earlier[], { noun: HistoryNoun; id: string }>({
      query: ({ noun, id }) => `/history/${noun}/${id}`,
      providesTags: ['earlier'],
    }),
    /** An earlier state never changes. */
    earlierState: build.query<EarlierState, string>({ query: (id) => `/history/${id}` }),
  }),
});

export const { useEarlierQuery, useEarlierStateQuery } = historyApi;
