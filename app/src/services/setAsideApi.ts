import type { SetAside } from '@zt/core';
import { api } from './api';

type SetAsideRow = Pick<SetAside, 'place' | 'id'>;

/** Rows that cannot be read. */
export const setAsideApi = api.injectEndpoints({
  endpoints: (build) => ({
    setAside: build.query<SetAside[], void>({ query: () => '/set-aside', providesTags: ['setAside'] }),
    mendRow: build.mutation<unknown, SetAsideRow>({
      query: ({ place, id }) => ({ url: `/set-aside/${place}/${id}/mend`, method: 'POST' }),
      invalidatesTags: [
        'setAside',
        'shelf',
        'tickets',
        'logbook',
        'orders',
        'customers',
        'day',
        'rules',
        'searches',
      ],
    }),
    removeRow: build.mutation<unknown, SetAsideRow>({
      query: ({ place, id }) => ({ url: `/set-aside/${place}/${id}`, method: 'DELETE' }),
      invalidatesTags: ['setAside'],
    }),
    restoreRow: build.mutation<unknown, SetAsideRow>({
      query: ({ place, id }) => ({ url: `/set-aside/${place}/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['setAside'],
    }),
  }),
});

export const { useSetAsideQuery, useMendRowMutation, useRemoveRowMutation, useRestoreRowMutation } =
  setAsideApi;
