import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import type { Refusal, Ticket } from '@zt/core';
import { ticketsApi } from '../services/ticketsApi';
import {
  type EditorState,
  fieldKept,
  mendTaken,
  redone,
  saveDone,
  saveFailed,
  saveRefused,
  saveStarted,
  stageSettled,
  ticketChanged,
  ticketNamed,
  ticketOpened,
  undone,
  waitingConflicted,
  waitingFailed,
} from './editor';

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
);
type WithEditor = { editor: EditorState };

const isFailure = isAnyOf(saveFailed, waitingFailed);
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

interface Unsaved {
  ticket: Ticket;
  rev: number;
  open: boolean;
}

/** What is to be saved next: a ticket that was left unsaved, else the open one; null when all is kept. */
export function nextUnsaved({ present, rev, save, waiting }: EditorState): Unsaved | null {
  const left = waiting.find((w) => !w.conflict && w.refused.length === 0);
  if (left) return { ticket: left.ticket, rev: left.rev, open: false };
  if (!present || save === 'saved' || save === 'conflict' || save === 'refused') return null;
  return { ticket: present, rev, open: true };
}

/** Saves every change by itself, one save at a time, and tries again when one fails. */
export function createAutosave() {
  const autosave = createListenerMiddleware();
  let running = false;

  autosave.startListening({
    predicate: (action) => isChange(action) || isFailure(action),
    effect: async (action, listener) => {
      listener.cancelActiveListeners();
      await listener.delay(isFailure(action) ? RETRY_MS : QUIET_MS);
      while (running) await listener.delay(20);
      const editorNow = () => (listener.getState() as WithEditor).editor;
      // From here on this save is carried to its end, whatever is changed meanwhile.
      listener.unsubscribe();
      running = true;
      for (let next = nextUnsaved(editorNow()); next; next = nextUnsaved(editorNow())) {
        if (next.open) listener.dispatch(saveStarted());
        const { ticket, rev, open } = next;
        const save = ticketsApi.endpoints.saveTicket.initiate({ ticket, rev });
        const result = await (listener.dispatch(save as never) as unknown as Promise<{
          data?: { rev: number; onBench: boolean };
          error?: unknown;
        }>);
        if (result.data) listener.dispatch(saveDone({ ...result.data, ticket }));
        else if (isConflict(result.error))
          listener.dispatch(open ? saveFailed('conflict') : waitingConflicted(ticket.id));
        else if (whyNotTaken(result.error))
          listener.dispatch(saveRefused({ id: ticket.id, refused: whyNotTaken(result.error) ?? [] }));
        else {
          running = false;
          listener.subscribe();
          listener.dispatch(open ? saveFailed('failed') : waitingFailed());
          return;
        }
      }
      running = false;
      listener.subscribe();
    },
  });
  return autosave.middleware;
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
    const body = JSON.stringify({ ticket: next.ticket, rev: next.rev });
    void fetch(`/api/tickets/${next.ticket.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body,
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
