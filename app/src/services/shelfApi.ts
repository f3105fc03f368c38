import type { ShelfChanges } from '@zt/core/model/api';
import type { Movement } from '@zt/core/model/movement';
import type { Shelf, ShelfNoun } from '@zt/core/model/shelf';
import { api } from './api';

/** What the shop owns. */
export const shelfApi = api.injectEndpoints({
  endpoints: (build) => ({
    shelf: build.query<Shelf, void>({ query: () => '/shelf', providesTags: ['shelf'] }),
    /** All of the changes are made, or none; what was put is answered as it is kept. */
    changeShelf: build.mutation<{ put: { noun: ShelfNoun; item: { id: string } }[] }, ShelfChanges>({
      query: (body) => ({ url: '/shelf', method: 'POST', body }),
      invalidatesTags: ['movements', 'earlier'],
    }),
    movements: build.query<Movement[], string>({
      query: (id) => `/shelf/${id}/movements`,
      providesTags: ['movements'],
    }),
  }),
});

export const { useShelfQuery, useMovementsQuery } = shelfApi;
