import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import {
  admitted,
  applyChange,
  applyMend,
  type Change,
  keptUnread,
  type Mend,
  MOST_SETTLED,
  type Phrase,
  type Refusal,
  refusalsOf,
  type Stage,
  type Ticket,
  type TicketHead,
  TicketHeadSchema,
  TicketSchema,
  withUnread,
} from '@zt/core';
import isEqual from 'fast-deep-equal';

/** How the ticket on the sheet stands with the server. `refused`: it does not take it, whenever it is asked. */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'failed' | 'refused' | 'conflict';

/** A ticket left before its last change was kept. */
export interface WaitingTicket {
  ticket: Ticket;
  rev: number;
  conflict: boolean;
  /** Why the server does not take it; empty while it has not said so. */
  refused: Refusal[];
}

export interface EditorState {
  past: Ticket[];
  present: Ticket | null;
  future: Ticket[];
  rev: number;
  save: SaveState;
  /** The gesture or field whose changes are one step to undo. */
  gesture: string | null;
  /** Left unsaved when another ticket was opened; saved in the background. */
  waiting: WaitingTicket[];
  /** Taken off the bench meanwhile, here or elsewhere: it is saved, and stays off. */
  offBench: boolean;
  /** What was not taken of the last change, or what the server does not take of the ticket. */
  refused: Refusal[];
  /** A way out of a finding that is tried out on the sheet, until something is changed. */
  trial: Mend | null;
  /** The reading being taken, as it was chosen; undefined while none was. */
  reading: string | null | undefined;
}

const EMPTY: EditorState = {
  past: [],
  present: null,
  future: [],
  rev: 0,
  save: 'saved',
  gesture: null,
  waiting: [],
  offBench: false,
  refused: [],
  trial: null,
  reading: undefined,
};
const MOST_UNDO = 200;

/** Whether other readings may be asked for than before: of another piece, or of another face. */
const isAskedAnew = (before: Ticket | undefined, { piece, place }: Ticket): boolean =>
  before?.piece.kind !== piece.kind || before.place.placement !== place.placement;

function step(state: EditorState, next: Ticket, gesture: string | null): void {
  if (!state.present) return;
  const goesOn = gesture !== null && gesture === state.gesture;
  if (!goesOn) state.past = [...state.past.slice(-MOST_UNDO), state.present];
  state.present = next;
  state.future = [];
  state.gesture = gesture;
  state.refused = [];
  state.trial = null;
  if (isAskedAnew(state.past.at(-1), next)) state.reading = undefined;
  if (state.save !== 'conflict') state.save = 'unsaved';
}

/** The ticket as it stands outside the reducer: its lists are compared by identity. */
const ticketOf = (state: EditorState): Ticket | null => state.present && (original(state.present) ?? null);

/** What is refused of the head of a ticket, and what is not. */
function admittedHead(head: Partial<TicketHead>): { head: Partial<TicketHead>; refused: Refusal[] } {
  const refused = refusalsOf(TicketHeadSchema.partial().safeParse(head).error);
  const isRefused = (key: string) => refused.some(({ at }) => at === key);
  return { head: Object.fromEntries(Object.entries(head).filter(([key]) => !isRefused(key))), refused };
}

/** What waits to be saved once another ticket is opened: what waited before, and the one that is left. */
function leftUnsaved(state: EditorState, openedId: string): WaitingTicket[] {
  const { present, rev, save, waiting } = state;
  if (!present || present.id === openedId || save === 'saved') return waiting;
  const refused = save === 'refused' ? state.refused : [];
  const left = { ticket: present, rev, conflict: save === 'conflict', refused };
  return [...waiting.filter((w) => w.ticket.id !== present.id), left];
}

/** The ticket being worked on, with its steps to undo and redo. Plans are not kept here: they are derived. */
const editor = createSlice({
  name: 'editor',
  initialState: EMPTY,
  reducers: {
    ticketOpened: (state, { payload }: PayloadAction<{ ticket: Ticket; rev: number; onBench?: boolean }>) => {
      const left = leftUnsaved(state as EditorState, payload.ticket.id);
      const own = left.find((w) => w.ticket.id === payload.ticket.id);
      const waiting = left.filter((w) => w !== own);
      if (!own)
        return {
          ...EMPTY,
          waiting,
          present: payload.ticket,
          rev: payload.rev,
          offBench: payload.onBench === false,
        };
      return {
        ...EMPTY,
        waiting,
        present: own.ticket,
        rev: own.rev,
        save: own.conflict ? 'conflict' : own.refused.length > 0 ? 'refused' : 'unsaved',
        refused: own.refused,
      };
    },
    ticketChanged: (state, { payload }: PayloadAction<{ change: Change; gesture?: string }>) => {
      const ticket = ticketOf(state as EditorState);
      if (!ticket) return;
      const { change, refused } = admitted(payload.change);
      step(state, applyChange(ticket, change), payload.gesture ?? null);
      state.refused = refused;
    },
    /** A field was left empty, or holds a text that could not be taken. */
    fieldKept: (state, { payload }: PayloadAction<{ at: string; text: string }>) => {
      const ticket = ticketOf(state as EditorState);
      if (ticket) step(state, keptUnread(TicketSchema, ticket, payload), payload.at);
    },
    mendTaken: (state, { payload }: PayloadAction<Mend>) => {
      const ticket = ticketOf(state as EditorState);
      if (ticket) step(state, applyMend(ticket, payload), null);
    },
    ticketNamed: (state, { payload }: PayloadAction<Partial<TicketHead>>) => {
      const ticket = ticketOf(state as EditorState);
      if (!ticket) return;
      const { head, refused } = admittedHead(payload);
      const unread = Object.keys(head).reduce((texts, key) => withUnread(texts, key, ''), ticket.unread);
      step(state, { ...ticket, ...head, unread }, `named ${Object.keys(payload).join()}`);
      state.refused = refused;
    },
    stageSettled: (state, { payload }: PayloadAction<{ stage: Stage; as: Phrase[] }>) => {
      const ticket = state.present as Ticket | null;
      if (!ticket) return;
      const { stage } = payload;
      const as = payload.as.slice(0, MOST_SETTLED);
      const settled = ticket.settled.includes(stage) ? ticket.settled : [...ticket.settled, stage];
      const next = { ...ticket, settled, settledAs: { ...ticket.settledAs, [stage]: as } };
      if (!isEqual(next, ticket)) step(state, next, null);
    },
    triedOut: (state, { payload }: PayloadAction<Mend | null>) => {
      state.trial = payload;
    },
    readingChosen: (state, { payload }: PayloadAction<string | null>) => {
      state.reading = payload;
    },
    gestureEnded: (state) => {
      const before = state.past.at(-1) as Ticket | undefined;
      const present = state.present as Ticket | null;
      if (state.gesture !== null && before && present && isEqual(before, present)) state.past.pop();
      state.gesture = null;
    },
    undone: (state) => {
      const before = state.past.pop();
      if (!before || !state.present) return;
      state.future.unshift(state.present);
      state.present = before;
      state.gesture = null;
      state.trial = null;
      if (state.save !== 'conflict') state.save = 'unsaved';
    },
    redone: (state) => {
      const after = state.future.shift();
      if (!after || !state.present) return;
      state.past.push(state.present);
      state.present = after;
      state.gesture = null;
      state.trial = null;
      if (state.save !== 'conflict') state.save = 'unsaved';
    },
    saveStarted: (state) => {
      state.save = 'saving';
    },
    saveDone: (state, { payload }: PayloadAction<{ rev: number; ticket: Ticket; onBench?: boolean }>) => {
      if (state.present?.id === payload.ticket.id) {
        state.rev = payload.rev;
        state.offBench = payload.onBench === false;
        if (state.save === 'saving') state.save = 'saved';
        return;
      }
      const stillWaits = (w: WaitingTicket) =>
        w.ticket.id !== payload.ticket.id || !isEqual(w.ticket, payload.ticket);
      const renewed = (w: WaitingTicket) =>
        w.ticket.id === payload.ticket.id ? { ...w, rev: payload.rev } : w;
      state.waiting = (state as EditorState).waiting.filter(stillWaits).map(renewed);
    },
    putBackOnBench: (state) => {
      state.offBench = false;
    },
    /** A ticket that waits could not be saved; it goes on waiting. */
    waitingFailed: (state) => state,
    waitingConflicted: (state, { payload }: PayloadAction<string>) => {
      for (const w of state.waiting) if (w.ticket.id === payload) w.conflict = true;
    },
    saveFailed: (state, { payload }: PayloadAction<'failed' | 'conflict'>) => {
      state.save = payload;
    },
    /** The server does not take a ticket: it is not asked again until the ticket is another. */
    saveRefused: (state, { payload }: PayloadAction<{ id: string; refused: Refusal[] }>) => {
      if (state.present?.id === payload.id) {
        if (state.save === 'saving') Object.assign(state, { save: 'refused', refused: payload.refused });
        return;
      }
      for (const w of state.waiting) if (w.ticket.id === payload.id) w.refused = payload.refused;
    },
  },
});

export const {
  triedOut,
  readingChosen,
  ticketOpened,
  ticketChanged,
  mendTaken,
  ticketNamed,
  stageSettled,
  gestureEnded,
  undone,
  redone,
  saveStarted,
  saveDone,
  saveFailed,
  saveRefused,
  putBackOnBench,
  fieldKept,
  waitingConflicted,
  waitingFailed,
} = editor.actions;
export const editorReducer = editor.reducer;
