import type { Shelf, ShelfBatch, ShelfNoun } from '@zt/core';
import { api } from './api';

/** The shelf with an item changed or added, as the server will have it. */
function putOnShelf(shelf: Shelf, noun: ShelfNoun, item: { id: string }): void {
  const items = shelf[noun] as { id: string }[];
  const at = items.findIndex(({ id }) => id === item.id);
  if (at < 0) items.push(item);
  else items[at] = item;
}

/** The shelf without an item, as the server will have it. */
function takeOffShelf(shelf: Shelf, noun: ShelfNoun, gone: string): void {
  const items = shelf[noun] as { id: string }[];
  const at = items.findIndex(({ id }) => id === gone);
  if (at >= 0) items.splice(at, 1);
}

/** What the shop owns. */
export const shelfApi = api.injectEndpoints({
  endpoints: (build) => ({
    shelf: build.query<Shelf, void>({ query: () => '/shelf', providesTags: ['shelf'] }),
    putItem: build.mutation<unknown, { noun: ShelfNoun; item: { id: string } }>({
      // Carried out even when the page is left at once.
      query: ({ noun, item }) => ({
        url: `/shelf/${noun}/${item.id}`,
        method: 'PUT',
        body: item,
        keepalive: true,
      }),
      onQueryStarted: async ({ noun, item }, { dispatch, queryFulfilled }) => {
        const patch = dispatch(
          shelfApi.util.updateQueryData('shelf', undefined, (shelf) => putOnShelf(shelf, noun, item)),
        );
        queryFulfilled.catch(() => {
          patch.undo();
          dispatch(api.util.invalidateTags(['shelf']));
        });
      },
    }),
    removeItem: build.mutation<unknown, { noun: ShelfNoun; id: string }>({
      query: ({ noun, id }) => ({ url: `/shelf/${noun}/${id}`, method: 'DELETE' }),
      onQueryStarted: async ({ noun, id }, { dispatch, queryFulfilled }) => {
        // Not asked for anew: an answer on its way would put an item that is put back out of sight again.
        const patch = dispatch(
          shelfApi.util.updateQueryData('shelf', undefined, (shelf) => takeOffShelf(shelf, noun, id)),
        );
        queryFulfilled.catch(() => {
          patch.undo();
          dispatch(api.util.invalidateTags(['shelf']));
        });
      },
    }),
    /** Many changes of the shelf as one: all of them, or none. */
    changeShelf: build.mutation<unknown, Partial<ShelfBatch>>({
      query: (body) => ({ url: '/shelf/batch', method: 'POST', body }),
      invalidatesTags: ['shelf'],
    }),
  }),
});

export const { useShelfQuery, usePutItemMutation, useRemoveItemMutation, useChangeShelfMutation } = shelfApi;
