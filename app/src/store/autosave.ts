import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import type { Refusal, SaveTicket, Ticket } from '@zt/core';
import { isUnsent, type Replica, sending } from '@zt/core/uses/sharing/index';
import { v7 } from 'uuid';
import { thisDevice } from '../services/device';
import { ticketsApi } from '../services/ticketsApi';
import {
  type EditorState,
  fieldKept,
  mendTaken,
  offerSettled,
  openReplica,
  outboxFound,
  redone,
  saveDone,
  saveFailed,
  saveRefused,
  saveStarted,
  stageSettled,
  ticketChanged,
  ticketHeard,
  ticketNamed,
  ticketOpened,
  undone,
} from './editor';
import { openOutbox } from './outbox';

/** Rest after the last change before it is saved, ms. */
const QUIET_MS = 350;
/** Rest after a failure before the next try, ms. */
const RETRY_MS = 3000;

const isChange = isAnyOf(
  fieldKept,
  ticketChanged,
  mendTaken,
  ticketNamed,
  stageSettled,
  undone,
  redone,
  ticketOpened,
  ticketHeard,
  offerSettled,
  outboxFound,
);
type WithEditor = { editor: EditorState };

const statusOf = (error: unknown): unknown => (error as { status?: unknown } | undefined)?.status;
const isConflict = (error: unknown) => statusOf(error) === 409;

/** What the server said of a ticket that it does not take; null when it may take it another time. */
function whyNotTaken(error: unknown): Refusal[] | null {
  const status = statusOf(error);
  if (typeof status !== 'number' || status < 400 || status >= 500 || status === 408 || status === 429)
    return null;
  const { message, issues } = (error as { data?: { message?: string; issues?: ServerIssue[] } }).data ?? {};
  const named = (issues ?? []).map(({ path, message: why }) => ({
    at: path.replace(/^ticket\./, ''),
    message: why,
  }));
  return named.length > 0 ? named : [{ at: '', message: message ?? 'The shop’s computer does not take it.' }];
}

interface ServerIssue {
  path: string;
  message: string;
}

/** What is to be saved next: a ticket that was left unsaved, else the open one; null when all is kept. */
export function nextUnsaved(state: EditorState): Replica<Ticket> | null {
  const left = state.waiting.find((w) => w.refused.length === 0);
  if (left) return left;
  const open = openReplica(state);
  return open && state.save !== 'saved' && state.save !== 'refused' ? open : null;
}

/** All that is not acknowledged yet. */
export function allUnsent(state: EditorState): Replica<Ticket>[] {
  const open = openReplica(state);
  return [...state.waiting, ...(open && state.save !== 'saved' && isUnsent(open) ? [open] : [])];
}

interface Answered {
  data?: { rev: number; onBench: boolean; ticket?: Ticket };
  error?: unknown;
}

/** Saves every change by itself, one save at a time, and tries again when one fails. */
export function createAutosave() {
  const autosave = createListenerMiddleware();
  let running = false;

  autosave.startListening({
    predicate: (action) => isChange(action) || saveFailed.match(action),
    effect: async (action, listener) => {
      listener.cancelActiveListeners();
      await listener.delay(saveFailed.match(action) ? RETRY_MS : QUIET_MS);
      while (running) await listener.delay(20);
      const editorNow = () => (listener.getState() as WithEditor).editor;
      const put = async (body: SaveTicket): Promise<Answered> =>
        (await listener.dispatch(ticketsApi.endpoints.saveTicket.initiate(body) as never)) as Answered;
      // From here on this save is carried to its end, whatever is changed meanwhile.
      listener.unsubscribe();
      running = true;
      for (let next = nextUnsaved(editorNow()); next; next = nextUnsaved(editorNow())) {
        const { id, name } = thisDevice();
        const { inFlight } = sending(next, { id: v7(), device: id });
        listener.dispatch(saveStarted(inFlight));
        const { value: ticket, rev, base } = inFlight;
        const body = { ticket, rev, sending: { id: inFlight.id, device: id, name } };
        const first = await put(body);
        // Others were quicker: both are put together there.
        const { data, error } = isConflict(first.error) ? await put({ ...body, base }) : first;
        const refused = whyNotTaken(error);
        if (data) listener.dispatch(saveDone({ ticket, ...data }));
        else if (refused) listener.dispatch(saveRefused({ id: ticket.id, refused }));
        else {
          running = false;
          listener.subscribe();
          listener.dispatch(saveFailed(ticket.id));
          return;
        }
      }
      running = false;
      listener.subscribe();
    },
  });
  return autosave.middleware;
}

/** Puts every change into the outbox before it is sent, and takes it out once it is acknowledged. */
export function keepOutbox(store: {
  getState: () => WithEditor;
  subscribe: (seen: () => void) => () => void;
}) {
  const outbox = openOutbox();
  let last: EditorState | null = null;
  const keep = () => {
    const { editor } = store.getState();
    if (editor === last) return;
    last = editor;
    void outbox.keep(allUnsent(editor));
  };
  return { found: outbox.read(), begin: () => store.subscribe(keep) };
}

/** Leaves the field in the hand, so that what it reads is taken. */
export function leaveField(): void {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
}

/** Sends what is not saved yet when the page is closed; the browser carries it out after the page has gone. */
export function saveOnLeaving(getState: () => WithEditor): () => void {
  const leave = () => {
    leaveField();
    const next = nextUnsaved(getState().editor);
    if (!next) return;
    const { id, name } = thisDevice();
    const { inFlight } = sending(next, { id: v7(), device: id });
    const { value: ticket, rev } = inFlight;
    const body = { ticket, rev, sending: { id: inFlight.id, device: id, name } } satisfies SaveTicket;
    void fetch(`/api/tickets/${ticket.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      keepalive: true,
    });
  };
  window.addEventListener('pagehide', leave);
  // Before the router: a screen that goes takes its fields with it.
  window.addEventListener('popstate', leaveField, { capture: true });
  return () => {
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('popstate', leaveField, { capture: true });
  };
}
