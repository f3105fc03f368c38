import type {
  KeptEntry,
  LogFilter,
  Logged,
  LogOrder,
  LogPage,
  LogPiece,
  SavedSearch,
} from '@zt/core/model/api';
import type { Ticket } from '@zt/core/model/ticket';
import type { Advice } from '@zt/core/records/evidence/advice';
import type { Pictures } from '@zt/core/records/pictures/pictures';
import { api } from './api';

/** A question as it stands in an address: a field with many values is named once for each. */
const addressOf = (question: Record<string, string | string[] | undefined>): string =>
  new URLSearchParams(
    Object.entries(question).flatMap(([key, value]) =>
      [value].flat().flatMap((one) => (one === undefined || one === '' ? [] : [[key, one]])),
    ),
  ).toString();

/** The logbook. */
export const logbookApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** Page by page, the latest first unless it is asked otherwise. */
    logbook: build.infiniteQuery<LogPage, LogFilter & Partial<LogOrder>, string>({
      infiniteQueryOptions: { initialPageParam: '', getNextPageParam: ({ next }) => next ?? undefined },
      query: ({ queryArg, pageParam: after }) => `/logbook?${addressOf({ ...queryArg, after })}`,
      providesTags: ['logbook'],
    }),
    /** An entry is kept as it was logged: nothing asks for it anew. */
    entry: build.query<KeptEntry, string>({ query: (id) => `/logbook/${id}` }),
    /** What past pieces say of a ticket; null while it has no layers. */
    advice: build.query<Advice | null, Ticket>({
      query: (ticket) => ({ url: '/logbook/advice', method: 'POST', body: { ticket } }),
      // A ticket is changed often: what was said of it before is not kept.
      keepUnusedDataFor: 5,
      providesTags: ['logbook', 'shelf', 'rules'],
    }),
    pictures: build.query<Pictures, void>({
      query: () => '/logbook/pictures',
      providesTags: ['logbook', 'rules'],
      keepUnusedDataFor: 5,
    }),
    searches: build.query<SavedSearch[], void>({ query: () => '/searches', providesTags: ['searches'] }),
    keepSearch: build.mutation<unknown, SavedSearch>({
      query: (search) => ({ url: `/searches/${search.id}`, method: 'PUT', body: search }),
      invalidatesTags: ['searches'],
    }),
    removeSearch: build.mutation<unknown, string>({
      query: (id) => ({ url: `/searches/${id}`, method: 'DELETE' }),
      invalidatesTags: ['searches'],
    }),
    addEntry: build.mutation<Logged, LogPiece>({
      query: (piece) => ({ url: '/logbook', method: 'POST', body: piece }),
      invalidatesTags: ['logbook', 'tickets', 'ticket', 'shelf', 'movements'],
    }),
    removeEntry: build.mutation<unknown, string>({
      query: (id) => ({ url: `/logbook/${id}`, method: 'DELETE' }),
      invalidatesTags: ['logbook', 'tickets', 'ticket', 'shelf', 'movements'],
    }),
  }),
});

export const {
  useLogbookInfiniteQuery,
  useEntryQuery,
  useAdviceQuery,
  usePicturesQuery,
  useSearchesQuery,
  useKeepSearchMutation,
  useRemoveSearchMutation,
} = logbookApi;
