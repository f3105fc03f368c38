import { createSlice, isAnyOf, type PayloadAction } from '@reduxjs/toolkit';
import type { LogPiece, SaveRules, ShelfChanges } from '@zt/core/model/api';
import type { SaveDay } from '@zt/core/model/day';
import type { KeptDrawing } from '@zt/core/model/drawing';
import type { SaveCustomer, SaveOrder } from '@zt/core/model/ordersApi';
import { saveDone, saveFailed } from './editor';

/** What can wait to be sent beside tickets, by the endpoint that takes it. */
export interface Requests {
  changeShelf: ShelfChanges;
  saveRules: SaveRules;
  addEntry: LogPiece;
  removeEntry: { id: string; ticketId: string };
  removeTicket: string;
  restoreTicket: string;
  keepDrawing: KeptDrawing;
  saveOrder: SaveOrder;
  removeOrder: string;
  restoreOrder: string;
  saveCustomer: SaveCustomer;
  saveDay: SaveDay;
}

/** One thing to send. It waits here, and in the browser's own database, until the shop's computer has taken it. */
export type Queued = {
  [E in keyof Requests]: {
    id: string;
    endpoint: E;
    arg: Requests[E];
    /** Whether it was sent once: it may have arrived, so it is sent again as it is. */
    tried: boolean;
    /** Why the shop's computer does not take it. */
    refused: string | null;
  };
}[keyof Requests];

export interface QueueState {
  waiting: Queued[];
  /** Whether the last sending, of a ticket or of something here, did not get through. */
  offline: boolean;
  /** Whether what others change is heard: the shop's computer is there. */
  heard: boolean;
}

/** The one item that a change of the shelf puts; null where it does more. */
function onlyPut({ put = [], remove = [], as = 'corrected' }: ShelfChanges) {
  const [only] = put;
  return only && put.length === 1 && remove.length === 0 ? { only, as } : null;
}

/** Two changes of one thing that follow one another, as one; null where they are two. */
function asOne(before: Queued, next: Queued): Queued | null {
  if (before.tried || before.refused !== null) return null;
  if (before.endpoint === 'saveRules' && next.endpoint === 'saveRules')
    return { ...before, arg: { ...before.arg, rules: next.arg.rules } };
  if (before.endpoint === 'saveDay' && next.endpoint === 'saveDay')
    return { ...before, arg: { ...before.arg, sheet: next.arg.sheet } };
  if (before.endpoint === 'saveOrder' && next.endpoint === 'saveOrder')
    return before.arg.order.id === next.arg.order.id
      ? { ...before, arg: { ...before.arg, order: next.arg.order } }
      : null;
  if (before.endpoint === 'saveCustomer' && next.endpoint === 'saveCustomer')
    return before.arg.customer.id === next.arg.customer.id
      ? { ...before, arg: { ...before.arg, customer: next.arg.customer } }
      : null;
  if (before.endpoint !== 'changeShelf' || next.endpoint !== 'changeShelf') return null;
  const [first, second] = [onlyPut(before.arg), onlyPut(next.arg)];
  if (!first || !second || first.only.item.id !== second.only.item.id || first.as !== second.as) return null;
  const put = [{ ...second.only, base: first.only.base }] as NonNullable<ShelfChanges['put']>;
  return { ...before, arg: { ...before.arg, put } };
}

/** Whether one takes back what the other would do, and neither has been sent. */
const undoes = (before: Queued, next: Queued): boolean =>
  !before.tried &&
  ((before.endpoint === 'removeOrder' && next.endpoint === 'restoreOrder' && before.arg === next.arg) ||
    (before.endpoint === 'removeTicket' && next.endpoint === 'restoreTicket' && before.arg === next.arg) ||
    (before.endpoint === 'addEntry' && next.endpoint === 'removeEntry' && before.arg.id === next.arg.id));

const queue = createSlice({
  name: 'queue',
  initialState: { waiting: [], offline: false, heard: true } as QueueState,
  reducers: {
    queued: (state, { payload }: PayloadAction<Queued>) => {
      const waiting = state.waiting as Queued[];
      const undone = waiting.find((before) => undoes(before, payload));
      if (undone) {
        state.waiting = waiting.filter((one) => one !== undone);
        return;
      }
      const last = waiting.at(-1);
      const one = last && asOne(last, payload);
      state.waiting = one ? [...waiting.slice(0, -1), one] : [...waiting, payload];
    },
    /** What other pages of this device left behind, before what was done here since. It may have arrived already. */
    queueFound: (state, { payload }: PayloadAction<Queued[]>) => {
      const here = new Set(state.waiting.map(({ id }) => id));
      const found = payload.filter(({ id }) => !here.has(id)).map((one) => ({ ...one, tried: true }));
      state.waiting = [...found, ...(state.waiting as Queued[])];
    },
    sendStarted: (state, { payload }: PayloadAction<string>) => {
      for (const one of state.waiting) if (one.id === payload) one.tried = true;
    },
    sent: (state, { payload }: PayloadAction<string>) => {
      state.waiting = state.waiting.filter(({ id }) => id !== payload);
      state.offline = false;
    },
    sendFailed: (state) => {
      state.offline = true;
    },
    sendRefused: (state, { payload }: PayloadAction<{ id: string; why: string }>) => {
      state.offline = false;
      for (const one of state.waiting) if (one.id === payload.id) one.refused = payload.why;
    },
    hearingChanged: (state, { payload }: PayloadAction<boolean>) => {
      state.heard = payload;
    },
    /** Somebody has read that it is not taken: it is sent once more, or let go. */
    refusalSettled: (state, { payload }: PayloadAction<{ id: string; again: boolean }>) => {
      if (payload.again) for (const one of state.waiting) if (one.id === payload.id) one.refused = null;
      if (!payload.again) state.waiting = state.waiting.filter(({ id }) => id !== payload.id);
    },
  },
  extraReducers: (build) => {
    build.addMatcher(isAnyOf(saveFailed), (state) => {
      state.offline = true;
    });
    build.addMatcher(isAnyOf(saveDone), (state) => {
      state.offline = false;
    });
  },
});

export const {
  queued,
  queueFound,
  sendStarted,
  sent,
  sendFailed,
  sendRefused,
  hearingChanged,
  refusalSettled,
} = queue.actions;
export const queueReducer = queue.reducer;

/** What is sent next; null when nothing waits that the shop's computer may take. */
export const nextQueued = ({ waiting }: QueueState): Queued | null =>
  waiting.find(({ refused }) => refused === null) ?? null;
