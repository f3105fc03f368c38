import { SET_ASIDE_PLACES, type SetAside } from '@zt/core/model/api';
import { api } from './api';

type SetAsideRow = Pick<SetAside, 'place' | 'id'>;

/** Rows that cannot be read. */
export const setAsideApi = api.injectEndpoints({
  endpoints: (build) => ({
    setAside: build.query<SetAside[], void>({ query: () => '/set-aside', providesTags: ['setAside'] }),
    mendRow: build.mutation<unknown, SetAsideRow>({
      query: ({ place, id }) => ({ url: `/set-aside/${place}/${id}/mend`, method: 'POST' }),
      invalidatesTags: ['setAside', ...SET_ASIDE_PLACES],
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
