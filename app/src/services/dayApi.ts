import type { DayAnswer, DaySheet, SaveDay } from '@zt/core/model/day';
import { api } from './api';

/** What people say of the work that is planned, and the tickets that are due first. */
export const dayApi = api.injectEndpoints({
  endpoints: (build) => ({
    day: build.query<DayAnswer, void>({
      query: () => '/day',
      providesTags: ['day', 'tickets', 'orders'],
    }),
    saveDay: build.mutation<DaySheet, SaveDay>({
      query: (body) => ({ url: '/day', method: 'PUT', body }),
      invalidatesTags: ['earlier'],
    }),
  }),
});

export const { useDayQuery } = dayApi;
