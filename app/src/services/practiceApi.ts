import type { OnPractice, Ticket } from '@zt/core';
import type { PracticeAnswer, PracticeCommand, PracticePose } from '@zt/core/model/practice';
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
