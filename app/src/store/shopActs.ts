import type { ShelfChanges } from '@zt/core/model/api';
import type { Customer } from '@zt/core/model/customer';
import type { DaySheet } from '@zt/core/model/day';
import type { KeptDrawing } from '@zt/core/model/drawing';
import type { HouseRules } from '@zt/core/model/houseRules';
import type { Order } from '@zt/core/model/order';
import type { Shelf, ShelfNoun } from '@zt/core/model/shelf';
import type { Ticket } from '@zt/core/model/ticket';
import { v7 } from 'uuid';
import { thisDevice } from '../services/device';
import { drawingsApi } from '../services/drawingsApi';
import { type Queued, queued, type Requests } from './queue';
import { selectRules, selectShelf } from './shopNow';
import type { AppThunk } from './state';

type Item<N extends ShelfNoun> = Shelf[N][number];
type Put = NonNullable<ShelfChanges['put']>[number];

function ofThisDevice() {
  const { id: device, name } = thisDevice();
  return { id: v7(), device, name };
}

/** Done here at once, and sent when it can be. */
function queue<E extends keyof Requests>(endpoint: E, arg: Requests[E]): AppThunk {
  return (dispatch) =>
    void dispatch(queued({ id: v7(), endpoint, arg, tried: false, refused: null } as Queued));
}

/** Changes the shelf: all of it counts from what is on it now. */
export const changeShelf =
  ({ put = [], remove = [], as = 'corrected' }: Omit<ShelfChanges, 'sending'>): AppThunk =>
  (dispatch, getState) => {
    const shelf = selectShelf(getState());
    const withBase = put.map((one) => {
      const base = (shelf[one.noun] as { id: string }[]).find(({ id }) => id === one.item.id);
      return { ...one, base: one.base ?? base } as Put;
    });
    dispatch(queue('changeShelf', { put: withBase, remove, as, sending: ofThisDevice() }));
  };

export const putItem = <N extends ShelfNoun>(noun: N, item: Item<N>, as?: ShelfChanges['as']): AppThunk =>
  changeShelf({ put: [{ noun, item } as unknown as Put], as });

export const takeOffShelf = (noun: ShelfNoun, id: string): AppThunk =>
  changeShelf({ remove: [{ noun, id }] });

/** Puts back what was just taken off; it is as it was, whatever was used of it since. */
export const putBackOnShelf = <N extends ShelfNoun>(noun: N, item: Item<N>): AppThunk =>
  changeShelf({ put: [{ noun, item, base: item } as unknown as Put] });

export const setRules =
  (rules: HouseRules): AppThunk =>
  (dispatch, getState) =>
    dispatch(queue('saveRules', { rules, base: selectRules(getState()), sending: ofThisDevice() }));

export const logPiece = (ticket: Ticket): AppThunk => queue('addEntry', { id: v7(), ticket });
export const takeEntryBack = (id: string, ticketId: string): AppThunk =>
  queue('removeEntry', { id, ticketId });
export const takeTicketOff = (id: string): AppThunk => queue('removeTicket', id);
/** Keeps a drawing as its file has it, for when its part is to be read again. */
export const keepDrawing = (drawing: KeptDrawing): AppThunk => queue('keepDrawing', drawing);

/** A drawing that was kept: here, while it waits to be sent, or with the shop's computer. Why it is not here, else. */
export const keptDrawing =
  (id: string): AppThunk<Promise<{ text: string } | 'gone' | 'unheard'>> =>
  async (dispatch, getState) => {
    const waiting = getState().queue.waiting.find(
      (one) => one.endpoint === 'keepDrawing' && one.arg.id === id,
    );
    if (waiting?.endpoint === 'keepDrawing') return waiting.arg;
    const asked = dispatch(drawingsApi.endpoints.drawing.initiate(id));
    const { data, error } = await asked;
    asked.unsubscribe();
    if (data) return data;
    return (error as { status?: unknown } | undefined)?.status === 404 ? 'gone' : 'unheard';
  };

/** Saves an order as it is now, over what it was made from; without that it is new. */
export const putOrder = (order: Order, base?: Order): AppThunk =>
  queue('saveOrder', { order, ...(base ? { base } : {}), sending: ofThisDevice() });
export const takeOrderOff = (id: string): AppThunk => queue('removeOrder', id);
export const putOrderBack = (id: string): AppThunk => queue('restoreOrder', id);
/** Saves a customer as they are now, over what it was made from; without that they are new. */
export const putCustomer = (customer: Customer, base?: Customer): AppThunk =>
  queue('saveCustomer', { customer, ...(base ? { base } : {}), sending: ofThisDevice() });

/** Saves what was said of the day over what it was made from. */
export const putDay = (sheet: DaySheet, base: DaySheet): AppThunk =>
  queue('saveDay', { sheet, base, sending: ofThisDevice() });

export const putTicketBack = (id: string): AppThunk => queue('restoreTicket', id);
