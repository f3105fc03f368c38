import type { KeptTicket, SavedTicket, SaveTicket } from '@zt/core';
import { api } from './api';

/** The tickets on the bench. */
export const ticketsApi = api.injectEndpoints({
  endpoints: (build) => ({
    tickets: build.query<KeptTicket[], void>({ query: () => '/tickets', providesTags: ['tickets'] }),
    ticket: build.query<KeptTicket, string>({
      query: (id) => `/tickets/${id}`,
      keepUnusedDataFor: 0,
      providesTags: ['ticket'],
    }),
    saveTicket: build.mutation<SavedTicket, SaveTicket>({
      query: (body) => ({ url: `/tickets/${body.ticket.id}`, method: 'PUT', body }),
      invalidatesTags: ['tickets'],
    }),
    removeTicket: build.mutation<unknown, string>({
      query: (id) => ({ url: `/tickets/${id}`, method: 'DELETE' }),
      invalidatesTags: ['tickets'],
    }),
    restoreTicket: build.mutation<unknown, string>({
      query: (id) => ({ url: `/tickets/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['tickets'],
    }),
  }),
});

export const { useTicketsQuery, useTicketQuery } = ticketsApi;
