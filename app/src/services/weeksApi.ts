import type { WeeksAnswer } from '@zt/core/model/weeks';
import { api } from './api';

/** How the shop did, week by week. */
export const weeksApi = api.injectEndpoints({
  endpoints: (build) => ({
    weeks: build.query<WeeksAnswer, number>({
      query: (weeks) => `/weeks?weeks=${weeks}`,
      providesTags: ['logbook', 'orders', 'rules'],
      keepUnusedDataFor: 5,
    }),
  }),
});

export const { useWeeksQuery } = weeksApi;
