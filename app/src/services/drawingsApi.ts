import type { KeptDrawing } from '@zt/core/model/drawing';
import { api } from './api';

/** Drawings that designs were read from: what is kept under an id never changes. */
export const drawingsApi = api.injectEndpoints({
  endpoints: (build) => ({
    drawing: build.query<KeptDrawing, string>({
      query: (id) => `/drawings/${id}`,
      keepUnusedDataFor: 600,
    }),
    keepDrawing: build.mutation<{ id: string }, KeptDrawing>({
      query: ({ id, text }) => ({ url: `/drawings/${id}`, method: 'PUT', body: { text } }),
    }),
  }),
});
