import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import {
  drawingRead,
  fieldKept,
  mendTaken,
  namesMade,
  offerSettled,
  outboxFound,
  partMade,
  redone,
  stageSettled,
  stitchesMade,
  ticketChanged,
  ticketHeard,
  ticketNamed,
  ticketOpened,
  ticketPut,
  ticketQueued,
  ticketStarted,
  undone,
} from './editor';
import { openOutbox } from './outbox';
import { queued, queueFound, refusalSettled, sendFailed } from './queue';
import { allUnsent, nextUnsaved, sendNext, ticketSending } from './send';
import type { RootState } from './state';

/** Rest after the last change before it is saved, ms. */
const QUIET_MS = 350;
/** Rest after a failure before the next try, ms. */
const RETRY_MS = 3000;

const isChange = isAnyOf(
  ticketPut,
  fieldKept,
  ticketChanged,
  mendTaken,
  namesMade,
  partMade,
  drawingRead,
  stitchesMade,
  ticketNamed,
  stageSettled,
  undone,
  redone,
  ticketOpened,
  ticketStarted,
  ticketQueued,
  ticketHeard,
  offerSettled,
  outboxFound,
  queued,
  queueFound,
  refusalSettled,
);

/** Sends every change by itself, one at a time, and tries again when it does not get through. */
export function createAutosave() {
  const autosave = createListenerMiddleware();
  let running = false;

  autosave.startListening({
    predicate: (action) => isChange(action) || sendFailed.match(action),
    effect: async (action, listener) => {
      listener.cancelActiveListeners();
      await listener.delay(sendFailed.match(action) ? RETRY_MS : QUIET_MS);
      while (running) await listener.delay(20);
      const send = () => listener.dispatch(sendNext() as never) as Promise<boolean> | null;
      // From here on this is carried to its end, whatever is changed meanwhile.
      listener.unsubscribe();
      running = true;
      let answered: boolean | null = true;
      while (answered) answered = await send();
      running = false;
      listener.subscribe();
      if (answered === false) listener.dispatch(sendFailed());
    },
  });
  return autosave.middleware;
}

/** Puts every change into the outbox before it is sent, and takes it out once it is acknowledged. */
export function keepOutbox(store: {
  getState: () => RootState;
  subscribe: (seen: () => void) => () => void;
}) {
  const outbox = openOutbox();
  let last: Pick<RootState, 'editor' | 'queue'> | null = null;
  const keep = () => {
    const { editor, queue } = store.getState();
    if (editor === last?.editor && queue === last.queue) return;
    last = { editor, queue };
    void outbox.keep({ tickets: allUnsent(editor), queue: queue.waiting });
  };
  const keepLast = () => {
    const { editor, queue } = store.getState();
    outbox.keepLast({ tickets: allUnsent(editor), queue: queue.waiting });
  };
  return { found: outbox.read(), begin: () => store.subscribe(keep), keepLast };
}

/** Leaves the field in the hand, so that what it reads is taken. */
export function leaveField(): void {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
}

/** Carried out by the browser after the page has gone; what does not get through waits for the next page. */
const sendLast = (method: 'PUT' | 'POST', path: string, body: unknown) =>
  void fetch(`/api${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    keepalive: true,
  }).catch(() => undefined);

/** Keeps and sends what is not saved yet when the page is closed. */
export function saveOnLeaving(getState: () => RootState, keepLast: () => void): () => void {
  const leave = () => {
    leaveField();
    keepLast();
    const { editor, queue } = getState();
    const next = nextUnsaved(editor);
    if (next) {
      const { body } = ticketSending(next);
      sendLast('PUT', `/tickets/${body.ticket.id}`, body);
    }
    for (const one of queue.waiting) {
      if (one.endpoint === 'changeShelf') sendLast('POST', '/shelf', one.arg);
      if (one.endpoint === 'saveRules') sendLast('PUT', '/rules', one.arg);
      if (one.endpoint === 'saveOrder') sendLast('PUT', `/orders/${one.arg.order.id}`, one.arg);
      if (one.endpoint === 'saveDay') sendLast('PUT', '/day', one.arg);
      if (one.endpoint === 'saveCustomer') sendLast('PUT', `/customers/${one.arg.customer.id}`, one.arg);
    }
  };
  window.addEventListener('pagehide', leave);
  // Before the router: a screen that goes takes its fields with it.
  window.addEventListener('popstate', leaveField, { capture: true });
  return () => {
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('popstate', leaveField, { capture: true });
  };
}
