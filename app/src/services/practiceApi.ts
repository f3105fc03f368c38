import type { OnPractice } from '@zt/core/model/api';
import type { PracticeAnswer, PracticeCommand, PracticePose } from '@zt/core/model/practice';
import type { Ticket } from '@zt/core/model/ticket';
import { api } from './api';

/** The practice machine. */
export const practiceApi = api.injectEndpoints({
  endpoints: (build) => ({
    layPractice: build.mutation<OnPractice, { ticket: Ticket; lie: PracticePose }>({
      query: (body) => ({ url: '/practice', method: 'PUT', body }),
    }),
    pressPractice: build.mutation<PracticeAnswer, PracticeCommand & { run: string }>({
      query: (body) => ({ url: '/practice/press', method: 'POST', body }),
    }),
  }),
});

export const { useLayPracticeMutation, usePressPracticeMutation } = practiceApi;
