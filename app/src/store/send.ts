import { shelfWith } from '@zt/core/ledger/shelfWith';
import type { SaveTicket, ShelfChanges } from '@zt/core/model/api';
import type { Refusal } from '@zt/core/model/fields/refusal';
import type { Ticket } from '@zt/core/model/ticket';
import { isUnsent, type Replica, sending } from '@zt/core/sync/replica';
import { v7 } from 'uuid';
import { api } from '../services/api';
import { dayApi } from '../services/dayApi';
import { thisDevice } from '../services/device';
import { drawingsApi } from '../services/drawingsApi';
import { logbookApi } from '../services/logbookApi';
import { ordersApi } from '../services/ordersApi';
import { rulesApi } from '../services/rulesApi';
import { shelfApi } from '../services/shelfApi';
import { ticketsApi } from '../services/ticketsApi';
import { benchHas } from './benchHas';
import { type EditorState, openReplica, saveDone, saveFailed, saveRefused, saveStarted } from './editor';
import { nextQueued, type Queued, type Requests, sendRefused, sendStarted, sent } from './queue';
import type { AppThunk } from './state';

const statusOf = (error: unknown): unknown => (error as { status?: unknown } | undefined)?.status;

interface ServerIssue {
  path: string;
  message: string;
}

/** Answers that say nothing of what was sent: the device is to be paired first, or it was too late or too often. */
const ANOTHER_TIME = [401, 408, 429];

/** What the server said of something that it does not take; null when it may take it another time. */
function whyNotTaken(error: unknown): Refusal[] | null {
  const status = statusOf(error);
  if (typeof status !== 'number' || status < 400 || status >= 500 || ANOTHER_TIME.includes(status))
    return null;
  const { message, issues } = (error as { data?: { message?: string; issues?: ServerIssue[] } }).data ?? {};
  const named = (issues ?? []).map(({ path, message: why }) => ({
    at: path.replace(/^ticket\./, ''),
    message: why,
  }));
  return named.length > 0 ? named : [{ at: '', message: message ?? 'The shop’s computer does not take it.' }];
}

/** What is to be saved next: a ticket that was left unsaved, else the open one; null when all is kept. */
export function nextUnsaved(state: EditorState): Replica<Ticket> | null {
  const left = state.waiting.find((w) => w.refused.length === 0);
  if (left) return left;
  const open = openReplica(state);
  return open && state.save !== 'saved' && state.save !== 'refused' ? open : null;
}

/** All tickets of which something is not acknowledged yet. */
export function allUnsent(state: EditorState): Replica<Ticket>[] {
  const open = openReplica(state);
  return [...state.waiting, ...(open && state.save !== 'saved' && isUnsent(open) ? [open] : [])];
}

/** What a ticket sends next, with the body that carries it. */
export function ticketSending(replica: Replica<Ticket>) {
  const { id: device, name } = thisDevice();
  const { inFlight } = sending(replica, { id: v7(), device });
  const { value: ticket, rev, id } = inFlight;
  return { inFlight, body: { ticket, rev, sending: { id, device, name } } satisfies SaveTicket };
}

/** Sends what a ticket became. Returns whether the shop's computer answered. */
const sendTicket =
  (next: Replica<Ticket>): AppThunk<Promise<boolean>> =>
  async (dispatch) => {
    const put = async (body: SaveTicket) => dispatch(ticketsApi.endpoints.saveTicket.initiate(body));
    const { inFlight, body } = ticketSending(next);
    dispatch(saveStarted(inFlight));
    const first = await put(body);
    // Others were quicker: both are put together there.
    const isConflict = statusOf(first.error) === 409;
    const { data, error } = isConflict ? await put({ ...body, base: inFlight.base }) : first;
    const refused = whyNotTaken(error);
    const { ticket } = body;
    if (data) {
      dispatch(saveDone({ ticket, ...data }));
      const kept = { ticket, updatedAt: new Date().toISOString(), loggedAs: null, ...data };
      dispatch(benchHas(kept, { isNew: body.rev === 0 }));
      const { orderId, samePieceAs } = inFlight.base;
      if (ticket.orderId !== orderId || ticket.samePieceAs !== samePieceAs)
        dispatch(api.util.invalidateTags(['orders']));
    } else if (refused) dispatch(saveRefused({ id: ticket.id, refused }));
    else dispatch(saveFailed(ticket.id));
    return data !== undefined || refused !== null;
  };

interface SendAnswer {
  data?: unknown;
  error?: unknown;
}

/** How each thing that waits is sent, and what its answer changes of what was read. */
const SEND: { [E in keyof Requests]: (arg: Requests[E]) => AppThunk<Promise<SendAnswer>> } = {
  changeShelf: (arg) => async (dispatch) => {
    const answer = await dispatch(shelfApi.endpoints.changeShelf.initiate(arg));
    const { data } = answer;
    if (data) {
      const kept = { put: data.put as ShelfChanges['put'], remove: arg.remove };
      dispatch(shelfApi.util.updateQueryData('shelf', undefined, (shelf) => shelfWith(shelf, kept)));
    }
    return answer;
  },
  saveRules: (arg) => async (dispatch) => {
    const answer = await dispatch(rulesApi.endpoints.saveRules.initiate(arg));
    const { data } = answer;
    if (data) dispatch(rulesApi.util.updateQueryData('rules', undefined, () => data));
    return answer;
  },
  addEntry: (arg) => (dispatch) => dispatch(logbookApi.endpoints.addEntry.initiate(arg)),
  removeEntry: (arg) => (dispatch) => dispatch(logbookApi.endpoints.removeEntry.initiate(arg.id)),
  removeTicket: (arg) => (dispatch) => dispatch(ticketsApi.endpoints.removeTicket.initiate(arg)),
  keepDrawing: (arg) => (dispatch) => dispatch(drawingsApi.endpoints.keepDrawing.initiate(arg)),
  saveOrder: (arg) => async (dispatch) => {
    const answer = await dispatch(ordersApi.endpoints.saveOrder.initiate(arg));
    const { data: order } = answer;
    // What was read has it before it waits here no more: nobody's page is without it meanwhile.
    if (order && arg.base)
      dispatch(ordersApi.util.updateQueryData('order', order.id, (kept) => ({ ...kept, order })));
    else if (order)
      await dispatch(
        ordersApi.util.upsertQueryData('order', order.id, { order, customer: null, tickets: [] }),
      );
    return answer;
  },
  saveDay: (arg) => async (dispatch) => {
    const answer = await dispatch(dayApi.endpoints.saveDay.initiate(arg));
    const { data: sheet } = answer;
    if (sheet) dispatch(dayApi.util.updateQueryData('day', undefined, (day) => ({ ...day, sheet })));
    // Which tickets come first is told by the shop's computer.
    if (String(arg.sheet.later) !== String(arg.base?.later)) dispatch(api.util.invalidateTags(['day']));
    return answer;
  },
  removeOrder: (arg) => (dispatch) => dispatch(ordersApi.endpoints.removeOrder.initiate(arg)),
  restoreOrder: (arg) => (dispatch) => dispatch(ordersApi.endpoints.restoreOrder.initiate(arg)),
  saveCustomer: (arg) => async (dispatch) => {
    const answer = await dispatch(ordersApi.endpoints.saveCustomer.initiate(arg));
    const { data: customer } = answer;
    if (customer)
      dispatch(
        ordersApi.util.updateQueryData('customers', undefined, (kept) => {
          const line = kept.find((one) => one.customer.id === customer.id);
          if (line) line.customer = customer;
          else kept.push({ customer, orders: 0, open: 0 });
        }),
      );
    return answer;
  },
  restoreTicket: (arg) => (dispatch) => dispatch(ticketsApi.endpoints.restoreTicket.initiate(arg)),
};

/** What is gone already needs no taking away. */
const isGone = ({ endpoint }: Queued, error: unknown): boolean =>
  statusOf(error) === 404 && (endpoint === 'removeEntry' || endpoint === 'removeTicket');

/** Sends one thing that waits. Returns whether the shop's computer answered. */
const sendQueued =
  (next: Queued): AppThunk<Promise<boolean>> =>
  async (dispatch) => {
    dispatch(sendStarted(next.id));
    const send = SEND[next.endpoint] as (arg: unknown) => AppThunk<Promise<SendAnswer>>;
    const { error } = await dispatch(send(next.arg));
    const isTaken = error === undefined || isGone(next, error);
    const refused = isTaken ? null : whyNotTaken(error);
    if (isTaken) dispatch(sent(next.id));
    else if (refused)
      dispatch(sendRefused({ id: next.id, why: refused.map(({ message }) => message).join(' ') }));
    return isTaken || refused !== null;
  };

/**
 * Sends the next thing that waits: tickets first, since what is logged of one must find it. Null when nothing waits;
 * else whether the shop's computer answered.
 */
export const sendNext = (): AppThunk<Promise<boolean> | null> => (dispatch, getState) => {
  const { editor, queue } = getState();
  const ticket = nextUnsaved(editor);
  if (ticket) return dispatch(sendTicket(ticket));
  const queued = nextQueued(queue);
  return queued && dispatch(sendQueued(queued));
};
