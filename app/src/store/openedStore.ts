import { rulesApi } from '../services/rulesApi';
import { shelfApi } from '../services/shelfApi';
import { keepOutbox } from './autosave';
import { outboxFound } from './editor';
import { NOTHING_UNSENT } from './outbox';
import { queueFound } from './queue';
import { type AppStore, makeStore } from './store';

/** The store of a page, with the shop on its way before anything is drawn, and what waited on this device in it. */
export function openedStore(): { store: AppStore; keepLast: () => void } {
  const store = makeStore();
  void store.dispatch(shelfApi.endpoints.shelf.initiate());
  void store.dispatch(rulesApi.endpoints.rules.initiate());
  const outbox = keepOutbox(store);
  // Where the browser's database cannot be read, what is done from now on is kept all the same if it can be.
  void outbox.found
    .catch(() => NOTHING_UNSENT)
    .then(({ tickets, queue }) => {
      if (tickets.length > 0) store.dispatch(outboxFound([...tickets]));
      if (queue.length > 0) store.dispatch(queueFound([...queue]));
      outbox.begin();
    });
  return { store, keepLast: outbox.keepLast };
}
