import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import type { Point } from '@zt/core/base/geometry/point';
import { type Phrase, phrase } from '@zt/core/base/units/phrase';
import { type Refusal, refusalsOf } from '@zt/core/model/fields/refusal';
import { keptUnread, withUnread } from '@zt/core/model/fields/unread';
import { applyMend, type Mend } from '@zt/core/model/finding';
import type { Stage } from '@zt/core/model/stages';
import {
  admitted,
  applyChange,
  type Change,
  MOST_SETTLED,
  type Ticket,
  type TicketHead,
  TicketHeadSchema,
  TicketSchema,
} from '@zt/core/model/ticket';
import type { FaceId } from '@zt/core/model/ticket/lettering';
import type { Made } from '@zt/core/model/ticket/made';
import type { NameRow, NameSets } from '@zt/core/model/ticket/names';
import type { Part } from '@zt/core/model/ticket/part';
import { withNamesSet } from '@zt/core/stages/design/names/rows';
import { withReadAgain } from '@zt/core/stages/design/readAgain';
import type { ReadSvg } from '@zt/core/stages/design/svg/readSvg';
import { mergeTickets } from '@zt/core/sync/mergeTickets';
import { offerLeft, offerTaken } from '@zt/core/sync/offers';
import { acknowledged, heard, isUnsent, type Replica, type Sending } from '@zt/core/sync/replica';
import { EXAMPLE_ID } from '@zt/core/table/example/example';
import isEqual from 'fast-deep-equal';
import { thisDevice } from '../services/device';

/** How the ticket on the sheet stands with the server. `refused`: it does not take it, whenever it is asked. */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'failed' | 'refused';

/** A ticket left before its last change was kept, or found in the outbox. */
export interface WaitingTicket extends Replica<Ticket> {
  /** Why the server does not take it; empty while it has not said so. */
  refused: Refusal[];
}

/** Why letters cannot be set, or a drawing read, as is asked for, and the typefaces that could. */
export interface WhyUnset {
  of: string;
  message: Phrase;
  inFaces: FaceId[];
}

/** Why a name stays unset where the others have taken all the room. */
const NO_ROOM = phrase`The outlines of these names take too much room on one ticket: make two of it.`;

export interface EditorState {
  past: Ticket[];
  present: Ticket | null;
  future: Ticket[];
  /** What the shop's computer last said of it, and what was sent and is not answered. */
  rev: number;
  base: Ticket | null;
  inFlight: Sending<Ticket> | null;
  save: SaveState;
  /** Whether another device changed it since the last change here. */
  news: boolean;
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
  /** The parts of the design that are acted on, by their ids; some may be gone. */
  chosenParts: string[];
  /** Why the letters of a part or of a name cannot be set, or its drawing read, by its id, and of which recipe that is said. */
  unset: Readonly<Record<string, WhyUnset>>;
  /** Where the piece was tapped to say what is wrong there, piece frame, mm; null once it is said. */
  spot: Point | null;
  /** The reading being taken, as it was chosen; undefined while none was. */
  reading: string | null | undefined;
  /** The readings that were taken when these were first asked for: the first other is taken first. */
  takenBefore: Ticket['piece']['readings'];
}

const EMPTY: EditorState = {
  past: [],
  present: null,
  future: [],
  rev: 0,
  base: null,
  inFlight: null,
  save: 'saved',
  news: false,
  gesture: null,
  waiting: [],
  offBench: false,
  refused: [],
  trial: null,
  chosenParts: [],
  unset: {},
  spot: null,
  reading: undefined,
  takenBefore: {},
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
  state.news = false;
  if (isAskedAnew(state.past.at(-1), next))
    Object.assign(state, { reading: undefined, takenBefore: next.piece.readings });
  state.save = 'unsaved';
}

/** The ticket as it stands outside the reducer: its lists are compared by identity. */
const ticketOf = (state: EditorState): Ticket | null => state.present && (original(state.present) ?? null);

/** Whether a part is made from the same recipe still, at the same size. */
const isSameRecipe = (part: Part, { id, letters, scalePercent }: Part): boolean =>
  part.id === id && part.scalePercent === scalePercent && isEqual(part.letters, letters);

/** What is refused of the head of a ticket, and what is not. */
function admittedHead(head: Partial<TicketHead>): { head: Partial<TicketHead>; refused: Refusal[] } {
  const refused = refusalsOf(TicketHeadSchema.partial().safeParse(head).error);
  const isRefused = (key: string) => refused.some(({ at }) => at === key);
  return { head: Object.fromEntries(Object.entries(head).filter(([key]) => !isRefused(key))), refused };
}

/** The open ticket as this device has it; null while none is open. The guided example is none: it is kept nowhere. */
export function openReplica({ present, rev, base, inFlight }: EditorState): Replica<Ticket> | null {
  if (present?.id === EXAMPLE_ID) return null;
  return present && { rev, base: base ?? present, value: present, inFlight };
}

/** Whether a ticket was begun here, and the shop's computer has not heard of it yet. */
export const isNewHere = ({ present, rev, waiting }: EditorState, id: string): boolean =>
  present?.id === id ? rev === 0 : waiting.some((w) => w.value.id === id && w.rev === 0);

/** What waits to be saved once another ticket is opened: what waited before, and the one that is left. */
function leftUnsaved(state: EditorState, openedId: string): WaitingTicket[] {
  const { save, waiting } = state;
  const left = openReplica(state);
  if (!left || left.value.id === openedId || save === 'saved') return waiting;
  const refused = save === 'refused' ? state.refused : [];
  return [...waiting.filter((w) => w.value.id !== left.value.id), { ...left, refused }];
}

const mergedHere = (three: Parameters<typeof mergeTickets>[0]): Ticket =>
  mergeTickets(three, { by: thisDevice().name, when: new Date().toISOString() });

/** Takes what the open ticket became; steps that can be undone stand on top of it too. */
function putReplica(state: EditorState, next: Replica<Ticket>): void {
  const base = state.base as Ticket | null;
  const present = state.present as Ticket | null;
  const others = base && !isEqual(next.base, base) && !isEqual(next.value, present);
  if (base && others) {
    const onTop = (mine: Ticket) => mergedHere({ base, mine, theirs: next.base });
    state.past = (state.past as Ticket[]).map(onTop);
    state.future = (state.future as Ticket[]).map(onTop);
  }
  Object.assign(state, { rev: next.rev, base: next.base, inFlight: next.inFlight, present: next.value });
}

/** A ticket that waits, opened: with its own changes on top of what is kept now. */
function reopened(own: WaitingTicket, kept: { ticket: Ticket; rev: number }): Partial<EditorState> {
  const { value, rev, base, inFlight } = heard(own, { rev: kept.rev, value: kept.ticket }, mergedHere);
  const save = own.refused.length > 0 ? 'refused' : 'unsaved';
  return { present: value, rev, base, inFlight, save, refused: own.refused };
}

/** What two pages of this device made of one ticket, as one; both are sent anew. */
function together(a: Replica<Ticket>, b: Replica<Ticket>): Replica<Ticket> {
  const [older, newer] = a.rev < b.rev ? [a, b] : [b, a];
  const value = mergedHere({ base: older.base, mine: older.value, theirs: newer.value });
  return { rev: newer.rev, base: newer.base, value, inFlight: null };
}

interface SaveDone {
  rev: number;
  /** The ticket as it is kept now. */
  ticket: Ticket;
  onBench?: boolean;
}

/** The ticket being worked on, with its steps to undo and redo. Plans are not kept here: they are derived. */
const editor = createSlice({
  name: 'editor',
  initialState: EMPTY,
  reducers: {
    ticketOpened: (state, { payload }: PayloadAction<{ ticket: Ticket; rev: number; onBench?: boolean }>) => {
      const left = leftUnsaved(state as EditorState, payload.ticket.id);
      const own = left.find((w) => w.value.id === payload.ticket.id);
      const { ticket, rev } = payload;
      const opened = own ? reopened(own, payload) : { present: ticket, base: ticket, rev };
      const takenBefore = (opened.present ?? ticket).piece.readings;
      const waiting = left.filter((w) => w !== own);
      return {
        ...EMPTY,
        waiting,
        offBench: payload.onBench === false,
        takenBefore,
        ...opened,
      };
    },
    /** A new ticket: nothing of it is kept yet. */
    ticketStarted: (state, { payload: ticket }: PayloadAction<Ticket>) => ({
      ...EMPTY,
      waiting: leftUnsaved(state as EditorState, ticket.id),
      takenBefore: ticket.piece.readings,
      present: ticket,
      base: ticket,
      save: 'unsaved' as const,
    }),
    /** What waited in the outbox when the app was closed. */
    outboxFound: (state, { payload }: PayloadAction<Replica<Ticket>[]>) => {
      for (const found of payload) {
        const open = openReplica(state as EditorState);
        const waiting = state.waiting as WaitingTicket[];
        const other = waiting.find((w) => w.value.id === found.value.id);
        if (open?.value.id === found.value.id) {
          const present = mergedHere({ base: found.base, mine: found.value, theirs: open.value });
          if (!isEqual(present, open.value)) Object.assign(state, { present, save: 'unsaved' });
        } else if (other) {
          const both = { ...together(other, found), refused: [] };
          state.waiting = waiting.map((w) => (w === other ? both : w));
        } else state.waiting = [...waiting, { ...found, refused: [] }];
      }
    },
    /** A ticket that is not open here was changed, or is new (`rev` 0): it waits as one that was left, and is sent as they are. */
    ticketQueued: (state, { payload }: PayloadAction<{ ticket: Ticket; base: Ticket; rev: number }>) => {
      const { ticket: mine, base, rev } = payload;
      const open = openReplica(state as EditorState);
      if (open?.value.id === mine.id) {
        step(state, mergedHere({ base, mine, theirs: open.value }), null);
        return;
      }
      const waiting = state.waiting as WaitingTicket[];
      const other = waiting.find((w) => w.value.id === mine.id);
      state.waiting = other
        ? waiting.map((w) =>
            w === other ? { ...w, value: mergedHere({ base, mine, theirs: w.value }), refused: [] } : w,
          )
        : [...waiting, { rev, base, value: mine, inFlight: null, refused: [] }];
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
    /** A ticket as it was earlier, or as an act leaves it, takes the place of what is there, as one step to undo. */
    ticketPut: (state, { payload }: PayloadAction<Ticket>) => {
      if (state.present?.id === payload.id) step(state, payload, null);
    },
    triedOut: (state, { payload }: PayloadAction<Mend | null>) => {
      state.trial = payload;
    },
    readingChosen: (state, { payload }: PayloadAction<string | null>) => {
      state.reading = payload;
    },
    spotTapped: (state, { payload }: PayloadAction<Point | null>) => {
      state.spot = payload;
    },
    partsChosen: (state, { payload }: PayloadAction<string[]>) => {
      state.chosenParts = payload;
    },
    /**
     * Outlines were made from the recipe of a part. No step of its own to undo: they follow from what was entered, and a
     * part that is another by now keeps what it has.
     */
    partMade: (state, { payload }: PayloadAction<{ from: Part; part: Part }>) => {
      const ticket = ticketOf(state as EditorState);
      const at = ticket?.design.parts.findIndex((part) => isSameRecipe(part, payload.from)) ?? -1;
      const before = ticket?.design.parts[at];
      if (!ticket || !before) return;
      const { letters, artwork, widthMm, heightMm, stitches, scalePercent } = payload.part;
      const part = { ...before, letters, artwork, widthMm, heightMm, stitches, scalePercent };
      const parts = ticket.design.parts.map((other, i) => (i === at ? part : other));
      const { change, refused } = admitted({ stage: 'design', set: { parts } });
      if (refused.length === 0) state.present = applyChange(ticket, change);
      state.refused = refused;
      state.save = 'unsaved';
    },
    /** The drawing of a part was read again: as with letters, no step of its own, and only for what is still asked. */
    drawingRead: (state, { payload }: PayloadAction<{ from: Part; read: ReadSvg }>) => {
      const ticket = ticketOf(state as EditorState);
      const { from, read } = payload;
      const before = ticket?.design.parts.find(({ id }) => id === from.id);
      const isAsked =
        before?.scalePercent === from.scalePercent && before.artwork?.madeFrom === from.artwork?.madeFrom;
      if (!ticket || !isAsked) return;
      const set = withReadAgain(ticket.design, from.id, read);
      const { change, refused } = admitted({ stage: 'design', set });
      if (refused.length === 0) state.present = applyChange(ticket, change);
      state.refused = refused;
      state.save = 'unsaved';
    },
    /** The stitches of the design were made: as with letters, no step of its own. */
    stitchesMade: (state, { payload }: PayloadAction<{ ticketId: string; made: Made }>) => {
      const ticket = ticketOf(state as EditorState);
      if (ticket?.id !== payload.ticketId) return;
      const { change, refused } = admitted({ stage: 'design', set: { made: payload.made } });
      if (refused.length > 0) return;
      state.present = applyChange(ticket, change);
      state.save = 'unsaved';
    },
    /** Names of an order were set: as with a part, no step of its own; what is not asked for so any more is left. */
    namesMade: (state, { payload }: PayloadAction<{ from: readonly NameRow[]; sets: NameSets }>) => {
      const ticket = ticketOf(state as EditorState);
      if (!ticket?.design.names) return;
      const { rows } = ticket.design.names;
      const isAsked = (id: string) =>
        isEqual(
          rows.find((row) => row.id === id),
          payload.from.find((row) => row.id === id),
        );
      const sets = Object.fromEntries(Object.entries(payload.sets).filter(([id]) => isAsked(id)));
      const nameSets = withNamesSet(ticket.design, sets);
      if (!nameSets) {
        const full = Object.entries(sets).map(([id, { artwork }]): [string, WhyUnset] => [
          id,
          { of: artwork.madeFrom, message: NO_ROOM, inFaces: [] },
        ]);
        state.unset = { ...state.unset, ...Object.fromEntries(full) };
        return;
      }
      state.present = applyChange(ticket, { stage: 'design', set: { nameSets } });
      state.save = 'unsaved';
    },
    partRefused: (state, { payload: { id, ...why } }: PayloadAction<{ id: string } & WhyUnset>) => {
      state.unset = { ...state.unset, [id]: why };
    },
    /** The guided example is left: nothing stays of it. */
    exampleEnded: (state) =>
      state.present?.id === EXAMPLE_ID ? { ...EMPTY, waiting: state.waiting } : state,
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
      state.save = 'unsaved';
    },
    redone: (state) => {
      const after = state.future.shift();
      if (!after || !state.present) return;
      state.past.push(state.present);
      state.present = after;
      state.gesture = null;
      state.trial = null;
      state.save = 'unsaved';
    },
    /** A sending is on its way: of the open ticket, or of one that waits. */
    saveStarted: (state, { payload }: PayloadAction<Sending<Ticket>>) => {
      if (state.present?.id === payload.value.id) Object.assign(state, { save: 'saving', inFlight: payload });
      state.waiting = (state.waiting as WaitingTicket[]).map((w) =>
        w.value.id === payload.value.id ? { ...w, inFlight: payload } : w,
      );
    },
    /** A sending is acknowledged, with what the ticket became there. */
    saveDone: (state, { payload }: PayloadAction<SaveDone>) => {
      const kept = { rev: payload.rev, value: payload.ticket };
      const open = openReplica(state as EditorState);
      if (open?.value.id === payload.ticket.id) {
        const next = acknowledged(open, kept, mergedHere);
        putReplica(state as EditorState, next);
        state.offBench = payload.onBench === false;
        if (state.save !== 'refused') state.save = isUnsent(next) ? 'unsaved' : 'saved';
        return;
      }
      state.waiting = (state.waiting as WaitingTicket[]).flatMap((w) => {
        if (w.value.id !== payload.ticket.id) return [w];
        const next = acknowledged(w, kept, mergedHere);
        return isUnsent(next) ? [{ ...next, refused: w.refused }] : [];
      });
    },
    /** Another device changed the open ticket. */
    ticketHeard: (state, { payload }: PayloadAction<{ ticket: Ticket; rev: number; onBench?: boolean }>) => {
      const open = openReplica(state as EditorState);
      if (open?.value.id !== payload.ticket.id) return;
      state.offBench = payload.onBench === false;
      const next = heard(open, { rev: payload.rev, value: payload.ticket }, mergedHere);
      if (next === open) return;
      state.news = !isEqual(next.value, open.value);
      putReplica(state as EditorState, next);
      if (state.save !== 'refused') state.save = isUnsent(next) ? 'unsaved' : 'saved';
    },
    offerSettled: (state, { payload }: PayloadAction<{ id: string; take: boolean }>) => {
      const ticket = ticketOf(state as EditorState);
      if (!ticket) return;
      const next = payload.take ? offerTaken(ticket, payload.id) : offerLeft(ticket, payload.id);
      const refused = refusalsOf(TicketSchema.safeParse(next).error);
      if (refused.length === 0) step(state, next, null);
      state.refused = refused;
    },
    putBackOnBench: (state) => {
      state.offBench = false;
    },
    /** A sending did not get through; it goes on waiting, and is sent again as it was. */
    saveFailed: (state, { payload }: PayloadAction<string>) => {
      if (state.present?.id === payload) state.save = 'failed';
    },
    /** The server does not take a ticket: it is not asked again until the ticket is another. */
    saveRefused: (state, { payload }: PayloadAction<{ id: string; refused: Refusal[] }>) => {
      if (state.present?.id === payload.id) {
        state.inFlight = null;
        if (state.save === 'saving') Object.assign(state, { save: 'refused', refused: payload.refused });
        return;
      }
      for (const w of state.waiting)
        if (w.value.id === payload.id) Object.assign(w, { refused: payload.refused, inFlight: null });
    },
  },
});

export const {
  triedOut,
  partsChosen,
  partMade,
  drawingRead,
  namesMade,
  stitchesMade,
  partRefused,
  readingChosen,
  spotTapped,
  ticketOpened,
  ticketStarted,
  ticketQueued,
  ticketChanged,
  mendTaken,
  ticketNamed,
  stageSettled,
  gestureEnded,
  exampleEnded,
  undone,
  redone,
  saveStarted,
  saveDone,
  saveFailed,
  saveRefused,
  putBackOnBench,
  fieldKept,
  outboxFound,
  ticketHeard,
  offerSettled,
  ticketPut,
} = editor.actions;
export const editorReducer = editor.reducer;
