import type { Ticket } from '@zt/core';
import type { Replica } from '@zt/core/uses/sharing/index';
import { Mutex } from 'async-mutex';
import { createStore, delMany, entries, setMany, type UseStore } from 'idb-keyval';
import { thisDevice } from '../services/device';

/** What waits on this device until the shop's computer has acknowledged it. It outlives the page. */
export interface Outbox {
  /** All that waits. */
  read: () => Promise<Replica<Ticket>[]>;
  /** Keeps just these; each call is carried out whole, after the one before. */
  keep: (unsent: readonly Replica<Ticket>[]) => Promise<void>;
}

/** The outbox in the browser's own database; one that keeps nothing where there is none. */
export function openOutbox(): Outbox {
  if (!('indexedDB' in globalThis)) return { read: async () => [], keep: async () => undefined };
  const store: UseStore = createStore('zealous-thimble', 'outbox');
  const turn = new Mutex();
  /** Each page keeps its own: two pages may have one ticket in hand. What a page left behind, the next one sends. */
  const keyOf = ({ value }: Replica<Ticket>) => `${thisDevice().id} ${value.id}`;
  let held = new Map<string, Replica<Ticket>>();
  const read = async () => {
    held = new Map(await entries<string, Replica<Ticket>>(store));
    return [...held.values()];
  };
  const keep = (unsent: readonly Replica<Ticket>[]) =>
    turn.runExclusive(async () => {
      const now = new Map(unsent.map((replica) => [keyOf(replica), replica]));
      const gone = [...held.keys()].filter((id) => !now.has(id));
      const changed = [...now].filter(([id, replica]) => held.get(id) !== replica);
      if (changed.length > 0) await setMany(changed, store);
      if (gone.length > 0) await delMany(gone, store);
      held = now;
    });
  return { read, keep };
}
