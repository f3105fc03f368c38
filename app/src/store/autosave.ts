import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import type { Ticket } from '@zt/core';
import { api } from '../services/api';
import {
  type EditorState,
  redone,
  saveDone,
  saveFailed,
  saveStarted,
  stageSettled,
  ticketChanged,
  ticketNamed,
  undone,
} from './editor';

/** Rest after the last change before it is saved, ms. */
const QUIET_MS = 350;
/** Rest after a failure before the next try, ms. */
const RETRY_MS = 3000;

const isChange = isAnyOf(ticketChanged, ticketNamed, stageSettled, undone, redone);
type WithEditor = { editor: EditorState };

const isConflict = (error: unknown) => (error as { status?: unknown } | undefined)?.status === 409;

/** Saves every change by itself, one save at a time, and tries again when one fails. */
export function createAutosave() {
  const autosave = createListenerMiddleware();
  let running = false;

  autosave.startListening({
    predicate: (action) => isChange(action) || saveFailed.match(action),
    effect: async (action, listener) => {
      listener.cancelActiveListeners();
      if (saveFailed.match(action) && action.payload === 'conflict') return;
      await listener.delay(saveFailed.match(action) ? RETRY_MS : QUIET_MS);
      while (running) await listener.delay(20);
      const { present, rev, save } = (listener.getState() as WithEditor).editor;
      if (!present || save === 'saved' || save === 'conflict') return;
      running = true;
      listener.unsubscribe();
      listener.dispatch(saveStarted());
      listener.subscribe();
      const ticket = present as Ticket;
      const request = listener.dispatch(
        api.endpoints.saveTicket.initiate({ ticket, rev }) as never,
      ) as unknown as Promise<{ data?: { rev: number }; error?: unknown }>;
      const result = await request;
      running = false;
      if (result.data) listener.dispatch(saveDone({ rev: result.data.rev, ticket }));
      else listener.dispatch(saveFailed(isConflict(result.error) ? 'conflict' : 'failed'));
    },
  });
  return autosave.middleware;
}
