import type { DrillCard } from '@zt/core/model/drillCard';
import { api } from './api';

/** How far the topics of the drills are learned. */
export const drillsApi = api.injectEndpoints({
  endpoints: (build) => ({
    drillCards: build.query<DrillCard[], void>({ query: () => '/drills', providesTags: ['drills'] }),
    keepCard: build.mutation<unknown, DrillCard>({
      query: (card) => ({ url: `/drills/${encodeURIComponent(card.key)}`, method: 'PUT', body: card }),
      invalidatesTags: ['drills'],
    }),
  }),
});

export const { useDrillCardsQuery, useKeepCardMutation } = drillsApi;
