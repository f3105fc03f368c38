import { type BaseQueryFn, createApi, type FetchArgs, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { HouseRules, LogEntry, LogSummary, Shelf, ShelfNoun, ShelfUse, Ticket } from '@zt/core';
import type { PracticeAnswer, PracticeCommand, PracticeJob, PracticePose, PracticeState } from '@zt/core/uses/practice/index';

export interface KeptTicket {
  ticket: Ticket;
  rev: number;
  updatedAt: string;
  loggedAs: string | null;
  onBench: boolean;
}

/** What lies on the practice machine, and how it stands. */
export interface OnPractice {
  /** The run's own bed, named in every press. */
  run: string;
  job: PracticeJob;
  state: PracticeState;
}

/** Something kept that cannot be read: named, with why, and whether it can be mended. */
export interface SetAside {
  place: 'shelf' | 'tickets' | 'logbook';
  id: string;
  name: string;
  why: string;
  canMend: boolean;
}
type SetAsideRow = Pick<SetAside, 'place' | 'id'>;

/** An entry with what logging it took off the shelf. */
export type KeptEntry = LogEntry & { taken: ShelfUse[] };

export type LogFilter = Partial<Pick<LogSummary, 'kind' | 'fabricId' | 'method' | 'outcome'>>;

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

const fetchJson = fetchBaseQuery({ baseUrl: '/api' });
const lastSave = new Map<string, Promise<unknown>>();

/** Saves to one address go one after the other, so that an older one never lands on a newer. */
const savesInOrder: BaseQueryFn<string | FetchArgs> = async (args, ...rest) => {
  if (typeof args === 'string' || (args.method !== 'PUT' && args.method !== 'DELETE'))
    return fetchJson(args, ...rest);
  const save = (lastSave.get(args.url) ?? Promise.resolve()).then(() => fetchJson(args, ...rest));
  lastSave.set(args.url, save);
  return save;
};

/** What the server keeps. Tickets being worked on live in the editor; here is what was last read. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: savesInOrder,
  tagTypes: ['tickets', 'ticket', 'shelf', 'rules', 'logbook', 'setAside'],
  endpoints: (build) => ({
    tickets: build.query<KeptTicket[], void>({ query: () => '/tickets', providesTags: ['tickets'] }),
    ticket: build.query<KeptTicket, string>({
      query: (id) => `/tickets/${id}`,
      keepUnusedDataFor: 0,
      providesTags: ['ticket'],
    }),
    saveTicket: build.mutation<{ rev: number; onBench: boolean }, { ticket: Ticket; rev: number }>({
      query: ({ ticket, rev }) => ({ url: `/tickets/${ticket.id}`, method: 'PUT', body: { ticket, rev } }),
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
          api.util.updateQueryData('shelf', undefined, (shelf) => putOnShelf(shelf, noun, item)),
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
          api.util.updateQueryData('shelf', undefined, (shelf) => takeOffShelf(shelf, noun, id)),
        );
        queryFulfilled.catch(() => {
          patch.undo();
          dispatch(api.util.invalidateTags(['shelf']));
        });
      },
    }),
    /** Many changes of the shelf as one: all of them, or none. */
    changeShelf: build.mutation<
      unknown,
      { put?: { noun: ShelfNoun; item: { id: string } }[]; remove?: { noun: ShelfNoun; id: string }[] }
    >({
      query: (body) => ({ url: '/shelf/batch', method: 'POST', body }),
      invalidatesTags: ['shelf'],
    }),
    rules: build.query<HouseRules, void>({ query: () => '/rules', providesTags: ['rules'] }),
    saveRules: build.mutation<HouseRules, HouseRules>({
      query: (rules) => ({ url: '/rules', method: 'PUT', body: rules, keepalive: true }),
      onQueryStarted: async (rules, { dispatch, queryFulfilled }) => {
        const patch = dispatch(api.util.updateQueryData('rules', undefined, () => rules));
        queryFulfilled.catch(() => patch.undo());
      },
    }),
    logbook: build.query<LogSummary[], LogFilter>({
      query: (params) => ({ url: '/logbook', params }),
      providesTags: ['logbook'],
    }),
    /** An entry is kept as it was logged: nothing asks for it anew. */
    entry: build.query<KeptEntry, string>({ query: (id) => `/logbook/${id}` }),
    addEntry: build.mutation<{ id: string; loggedAt: string }, Omit<LogEntry, 'loggedAt'>>({
      query: (entry) => ({ url: '/logbook', method: 'POST', body: entry }),
      invalidatesTags: ['logbook', 'tickets', 'ticket', 'shelf'],
    }),
    removeEntry: build.mutation<unknown, string>({
      query: (id) => ({ url: `/logbook/${id}`, method: 'DELETE' }),
      invalidatesTags: ['logbook', 'tickets', 'ticket', 'shelf'],
    }),
    setAside: build.query<SetAside[], void>({ query: () => '/set-aside', providesTags: ['setAside'] }),
    mendRow: build.mutation<unknown, SetAsideRow>({
      query: ({ place, id }) => ({ url: `/set-aside/${place}/${id}/mend`, method: 'POST' }),
      invalidatesTags: ['setAside', 'shelf', 'tickets', 'logbook'],
    }),
    removeRow: build.mutation<unknown, SetAsideRow>({
      query: ({ place, id }) => ({ url: `/set-aside/${place}/${id}`, method: 'DELETE' }),
      invalidatesTags: ['setAside'],
    }),
    restoreRow: build.mutation<unknown, SetAsideRow>({
      query: ({ place, id }) => ({ url: `/set-aside/${place}/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['setAside'],
    }),
    layPractice: build.mutation<OnPractice, { ticket: Ticket; lie: PracticePose }>({
      query: (body) => ({ url: '/practice', method: 'PUT', body }),
    }),
    pressPractice: build.mutation<PracticeAnswer, PracticeCommand & { run: string }>({
      query: (body) => ({ url: '/practice/press', method: 'POST', body }),
    }),
  }),
});

export const {
  useTicketsQuery,
  useTicketQuery,
  useSaveTicketMutation,
  useRemoveTicketMutation,
  useRestoreTicketMutation,
  useShelfQuery,
  usePutItemMutation,
  useRemoveItemMutation,
  useChangeShelfMutation,
  useRulesQuery,
  useSaveRulesMutation,
  useLogbookQuery,
  useEntryQuery,
  useAddEntryMutation,
  useRemoveEntryMutation,
  useSetAsideQuery,
  useMendRowMutation,
  useRemoveRowMutation,
  useRestoreRowMutation,
  useLayPracticeMutation,
  usePressPracticeMutation,
} = api;
