import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import {
  applyChange,
  applyMend,
  type Change,
  type Mend,
  type Phrase,
  type Stage,
  type Ticket,
} from '@zt/core';

/** How the ticket on the sheet stands with the server. */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'failed' | 'conflict';

/** A ticket left before its last change was kept. */
export interface WaitingTicket {
  ticket: Ticket;
  rev: number;
  conflict: boolean;
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
}

const EMPTY: EditorState = {
  past: [],
  present: null,
  future: [],
  rev: 0,
  save: 'saved',
  gesture: null,
  waiting: [],
};
const MOST_UNDO = 200;

function step(state: EditorState, next: Ticket, gesture: string | null): void {
  if (!state.present) return;
  const goesOn = gesture !== null && gesture === state.gesture;
  if (!goesOn) state.past = [...state.past.slice(-MOST_UNDO), state.present];
  state.present = next;
  state.future = [];
  state.gesture = gesture;
  if (state.save !== 'conflict') state.save = 'unsaved';
}

const same = (a: Ticket, b: Ticket): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What waits to be saved once another ticket is opened: what waited before, and the one that is left. */
function leftUnsaved(state: EditorState, openedId: string): WaitingTicket[] {
  const { present, rev, save, waiting } = state;
  if (!present || present.id === openedId || save === 'saved') return waiting;
  const left = { ticket: present, rev, conflict: save === 'conflict' };
  return [...waiting.filter((w) => w.ticket.id !== present.id), left];
}

/** The ticket being worked on, with its steps to undo and redo. Plans are not kept here: they are derived. */
const editor = createSlice({
  name: 'editor',
  initialState: EMPTY,
  reducers: {
    ticketOpened: (state, { payload }: PayloadAction<{ ticket: Ticket; rev: number }>) => {
      const left = leftUnsaved(state as EditorState, payload.ticket.id);
      const own = left.find((w) => w.ticket.id === payload.ticket.id);
      const waiting = left.filter((w) => w !== own);
      if (!own) return { ...EMPTY, waiting, present: payload.ticket, rev: payload.rev };
      return {
        ...EMPTY,
        waiting,
        present: own.ticket,
        rev: own.rev,
        save: own.conflict ? 'conflict' : 'unsaved',
      };
    },
    ticketChanged: (state, { payload }: PayloadAction<{ change: Change; gesture?: string }>) => {
      if (state.present)
        step(state, applyChange(state.present as Ticket, payload.change), payload.gesture ?? null);
    },
    mendTaken: (state, { payload }: PayloadAction<Mend>) => {
      if (state.present) step(state, applyMend(state.present as Ticket, payload), null);
    },
    ticketNamed: (state, { payload }: PayloadAction<Partial<Pick<Ticket, 'name' | 'customer' | 'due'>>>) => {
      if (state.present)
        step(state, { ...(state.present as Ticket), ...payload }, `named ${Object.keys(payload).join()}`);
    },
    stageSettled: (state, { payload }: PayloadAction<{ stage: Stage; as: Phrase[] }>) => {
      const ticket = state.present as Ticket | null;
      if (!ticket) return;
      const { stage, as } = payload;
      const settled = ticket.settled.includes(stage) ? ticket.settled : [...ticket.settled, stage];
      const next = { ...ticket, settled, settledAs: { ...ticket.settledAs, [stage]: as } };
      if (!same(next, ticket)) step(state, next, null);
    },
    gestureEnded: (state) => {
      const before = state.past.at(-1) as Ticket | undefined;
      const present = state.present as Ticket | null;
      if (state.gesture !== null && before && present && same(before, present)) state.past.pop();
      state.gesture = null;
    },
    undone: (state) => {
      const before = state.past.pop();
      if (!before || !state.present) return;
      state.future.unshift(state.present);
      state.present = before;
      state.gesture = null;
      if (state.save !== 'conflict') state.save = 'unsaved';
    },
    redone: (state) => {
      const after = state.future.shift();
      if (!after || !state.present) return;
      state.past.push(state.present);
      state.present = after;
      state.gesture = null;
      if (state.save !== 'conflict') state.save = 'unsaved';
    },
    saveStarted: (state) => {
      state.save = 'saving';
    },
    saveDone: (state, { payload }: PayloadAction<{ rev: number; ticket: Ticket }>) => {
      if (state.present?.id === payload.ticket.id) {
        state.rev = payload.rev;
        if (state.save === 'saving') state.save = 'saved';
        return;
      }
      const stillWaits = (w: WaitingTicket) =>
        w.ticket.id !== payload.ticket.id || !same(w.ticket, payload.ticket);
      const renewed = (w: WaitingTicket) =>
        w.ticket.id === payload.ticket.id ? { ...w, rev: payload.rev } : w;
      state.waiting = (state as EditorState).waiting.filter(stillWaits).map(renewed);
    },
    /** A ticket that waits could not be saved; it goes on waiting. */
    waitingFailed: (state) => state,
    waitingConflicted: (state, { payload }: PayloadAction<string>) => {
      for (const w of state.waiting) if (w.ticket.id === payload) w.conflict = true;
    },
    saveFailed: (state, { payload }: PayloadAction<'failed' | 'conflict'>) => {
      state.save = payload;
    },
  },
});

export const {
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
  waitingConflicted,
  waitingFailed,
} = editor.actions;
export const editorReducer = editor.reducer;
