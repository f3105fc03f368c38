import { api } from './api';

/** Where a photo is fetched. */
export const photoAddress = (id: string): string => `/api/photos/${id}`;

/** Photos of pieces: what is kept under a name never changes. */
export const photosApi = api.injectEndpoints({
  endpoints: (build) => ({
    keepPhoto: build.mutation<{ id: string }, { id: string; bytes: Blob }>({
      query: ({ id, bytes }) => ({
        url: `/photos/${id}`,
        method: 'PUT',
        body: bytes,
        headers: { 'content-type': 'image/jpeg' },
      }),
    }),
  }),
});

export const { useKeepPhotoMutation } = photosApi;
