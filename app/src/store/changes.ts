import { z } from 'zod';
import { api } from '../services/api';
import { thisDevice } from '../services/device';
import { hearChanges } from '../services/hearing';
import { ticketsApi } from '../services/ticketsApi';
import { benchHas } from './benchHas';
import { ticketHeard } from './editor';
import { hearingChanged } from './queue';
import type { AppStore } from './store';

const ChangeSchema = z.object({
  noun: z.enum(['ticket', 'shelf', 'rules', 'logbook', 'orders', 'customers', 'day', 'all']),
  id: z.string().nullable(),
  rev: z.number().nullable(),
  device: z.string().nullable(),
});

/** Reads a ticket anew; what others made of the open one comes under what is being made of it here. */
async function hearTicket({ dispatch }: AppStore, id: string) {
  const asked = dispatch(ticketsApi.endpoints.ticket.initiate(id, { forceRefetch: true, subscribe: false }));
  const { data } = await asked;
  if (!data) return;
  dispatch(ticketHeard(data));
  dispatch(benchHas(data, { isNew: true }));
}

/** Follows what other devices change, as it happens, and after a break what was changed meanwhile. Returns its end. */
export function followChanges(store: AppStore): () => void {
  let opened = false;
  const hearOpen = () => {
    const { present } = store.getState().editor;
    if (present) void hearTicket(store, present.id);
  };
  const onOpen = () => {
    store.dispatch(hearingChanged(true));
    if (opened) {
      store.dispatch(
        api.util.invalidateTags([
          'tickets',
          'shelf',
          'rules',
          'logbook',
          'orders',
          'customers',
          'customer',
          'day',
          'earlier',
        ]),
      );
      hearOpen();
    }
    opened = true;
  };
  let era: string | null = null;
  const onListening = (data: string) => {
    // All of the data was replaced meanwhile: what this page knows of it is of no use, what waits here is kept.
    if (era !== null && era !== data) window.location.reload();
    era = data;
  };
  const onChange = (data: string) => {
    const change = ChangeSchema.parse(JSON.parse(data));
    if (change.noun === 'all') return window.location.reload();
    if (change.device === thisDevice().id) return;
    store.dispatch(api.util.invalidateTags(['earlier']));
    const { present, rev } = store.getState().editor;
    if (change.noun === 'ticket') {
      // One that was taken off, or put back, changes the list itself.
      if (change.rev === null) store.dispatch(api.util.invalidateTags(['tickets']));
      const isKnown = present?.id === change.id && (change.rev ?? Infinity) <= rev;
      if (change.id !== null && !isKnown) void hearTicket(store, change.id);
    } else if (change.noun === 'logbook')
      store.dispatch(api.util.invalidateTags(['logbook', 'tickets', 'shelf']));
    // Of whom it is for, more than their own page tells.
    else if (change.noun === 'customers')
      store.dispatch(api.util.invalidateTags(['customers', 'customer', 'orders', 'tickets', 'logbook']));
    else store.dispatch(api.util.invalidateTags([change.noun]));
  };
  return hearChanges(({ type, data }) => {
    if (type === 'open') onOpen();
    else if (type === 'lost') store.dispatch(hearingChanged(false));
    else if (type === 'listening') onListening(data);
    else onChange(data);
  });
}
