import type { OnCutter } from '@zt/core/model/cutter';
import { api } from './api';

/** The cutter. */
export const cutterApi = api.injectEndpoints({
  endpoints: (build) => ({
    layOnCutter: build.mutation<OnCutter, { file: string }>({
      query: (body) => ({ url: '/cutter', method: 'PUT', body }),
    }),
    pressCutter: build.mutation<OnCutter, { run: string; pieces: number | null }>({
      query: ({ run, pieces }) => ({
        url: '/cutter/press',
        method: 'POST',
        body: { run, press: 'cut', pieces },
      }),
    }),
  }),
});

export const { useLayOnCutterMutation, usePressCutterMutation } = cutterApi;
