import { type BaseQueryFn, createApi, type FetchArgs, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { Mutex } from 'async-mutex';
import { thisDevice } from './device';
import { askedOrEarly } from './early';

const fetchJson = fetchBaseQuery({
  baseUrl: '/api',
  fetchFn: (request) => askedOrEarly(request as Request),
  prepareHeaders: (headers) => headers.set('x-device', thisDevice().id),
});
const turns = new Map<string, Mutex>();

/** Of these every answer tells all that was sent before, and nothing that is on its way: amounts are counted once. */
const READ_IN_ORDER = /^\/(shelf|rules)$/;

/** What waits its turn with a request; null where none does. */
function turnOf(args: string | FetchArgs): string | null {
  const { url, method = 'GET' } = typeof args === 'string' ? { url: args } : args;
  return READ_IN_ORDER.test(url) || method === 'PUT' || method === 'DELETE' ? url : null;
}

/** Saves to one address go one after the other, so that an older one never lands on a newer. */
const inOrder: BaseQueryFn<string | FetchArgs> = async (args, ...rest) => {
  const of = turnOf(args);
  if (of === null) return fetchJson(args, ...rest);
  const turn = turns.get(of) ?? new Mutex();
  turns.set(of, turn);
  return turn.runExclusive(async () => fetchJson(args, ...rest));
};

/**
 * What the server keeps; each noun injects its endpoints. Tickets being worked on live in the editor; here is what
 * was last read.
 */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: inOrder,
  tagTypes: [
    'tickets',
    'ticket',
    'shelf',
    'rules',
    'logbook',
    'setAside',
    'backups',
    'movements',
    'devices',
    'searches',
    'drills',
    'orders',
    'customers',
    'customer',
    'day',
    'earlier',
  ],
  endpoints: () => ({}),
});
