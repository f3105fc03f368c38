import type { HouseRules } from '@zt/core';
import { api } from './api';

/** The house rules. */
export const rulesApi = api.injectEndpoints({
  endpoints: (build) => ({
    rules: build.query<HouseRules, void>({ query: () => '/rules', providesTags: ['rules'] }),
    saveRules: build.mutation<HouseRules, HouseRules>({
      query: (rules) => ({ url: '/rules', method: 'PUT', body: rules, keepalive: true }),
      onQueryStarted: async (rules, { dispatch, queryFulfilled }) => {
        const patch = dispatch(rulesApi.util.updateQueryData('rules', undefined, () => rules));
        queryFulfilled.catch(() => patch.undo());
      },
    }),
  }),
});

export const { useRulesQuery, useSaveRulesMutation } = rulesApi;
