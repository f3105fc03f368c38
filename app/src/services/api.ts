import { type BaseQueryFn, createApi, type FetchArgs, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { Mutex } from 'async-mutex';
import { thisDevice } from './device';

const fetchJson = fetchBaseQuery({
  baseUrl: '/api',
  prepareHeaders: (headers) => headers.set('x-device', thisDevice().id),
});
const turns = new Map<string, Mutex>();

/** Saves to one address go one after the other, so that an older one never lands on a newer. */
const savesInOrder: BaseQueryFn<string | FetchArgs> = async (args, ...rest) => {
  if (typeof args === 'string' || (args.method !== 'PUT' && args.method !== 'DELETE'))
    return fetchJson(args, ...rest);
  const turn = turns.get(args.url) ?? new Mutex();
  turns.set(args.url, turn);
  return turn.runExclusive(async () => fetchJson(args, ...rest));
};

/**
 * What the server keeps; each noun injects its endpoints. Tickets being worked on live in the editor; here is what
 * was last read.
 */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: savesInOrder,
  tagTypes: ['tickets', 'ticket', 'shelf', 'rules', 'logbook', 'setAside', 'backups'],
  endpoints: () => ({}),
});
