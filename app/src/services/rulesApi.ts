import type { SaveRules } from '@zt/core/model/api';
import type { HouseRules } from '@zt/core/model/houseRules';
import { api } from './api';

/** The house rules. */
export const rulesApi = api.injectEndpoints({
  endpoints: (build) => ({
    rules: build.query<HouseRules, void>({ query: () => '/rules', providesTags: ['rules'] }),
    /** Answered as they are kept. */
    saveRules: build.mutation<HouseRules, SaveRules>({
      query: (body) => ({ url: '/rules', method: 'PUT', body }),
      invalidatesTags: ['earlier'],
    }),
  }),
});

export const { useRulesQuery } = rulesApi;
