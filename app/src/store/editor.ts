import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { applyChange, type Change, type Stage, type Ticket } from '@zt/core';

/** How the ticket on the sheet stands with the server. */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'failed' | 'conflict';

export interface EditorState {
  past: Ticket[];
  present: Ticket | null;
  future: Ticket[];
  rev: number;
  save: SaveState;
  /** The gesture or field whose changes are one step to undo. */
  gesture: string | null;
}

const EMPTY: EditorState = { past: [], present: null, future: [], rev: 0, save: 'saved', gesture: null };
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

/** The ticket being worked on, with its steps to undo and redo. Plans are not kept here: they are derived. */
const editor = createSlice({
  name: 'editor',
  initialState: EMPTY,
  reducers: {
    ticketOpened: (_state, { payload }: PayloadAction<{ ticket: Ticket; rev: number }>) => ({
      ...EMPTY,
      present: payload.ticket,
      rev: payload.rev,
    }),
    ticketChanged: (state, { payload }: PayloadAction<{ change: Change; gesture?: string }>) => {
      if (state.present)
        step(state, applyChange(state.present as Ticket, payload.change), payload.gesture ?? null);
    },
    ticketNamed: (state, { payload }: PayloadAction<Partial<Pick<Ticket, 'name' | 'customer' | 'due'>>>) => {
      if (state.present)
        step(state, { ...(state.present as Ticket), ...payload }, `named ${Object.keys(payload).join()}`);
    },
    stageSettled: (state, { payload }: PayloadAction<Stage>) => {
      if (state.present && !state.present.settled.includes(payload)) {
        step(state, { ...(state.present as Ticket), settled: [...state.present.settled, payload] }, null);
      }
    },
    gestureEnded: (state) => {
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
      if (state.present?.id !== payload.ticket.id) return;
      state.rev = payload.rev;
      if (state.save === 'saving') state.save = 'saved';
    },
    saveFailed: (state, { payload }: PayloadAction<'failed' | 'conflict'>) => {
      state.save = payload;
    },
  },
});

export const {
  ticketOpened,
  ticketChanged,
  ticketNamed,
  stageSettled,
  gestureEnded,
  undone,
  redone,
  saveStarted,
  saveDone,
  saveFailed,
} = editor.actions;
export const editorReducer = editor.reducer;
