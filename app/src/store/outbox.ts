import type { Ticket } from '@zt/core/model/ticket';
import type { Replica } from '@zt/core/sync/replica';
import { Mutex } from 'async-mutex';
import { createStore, delMany, entries, setMany, type UseStore } from 'idb-keyval';
import { thisDevice } from '../services/device';
import type { Queued } from './queue';

/** What waits on this device until the shop's computer has acknowledged it. It outlives the page. */
export interface Unsent {
  tickets: readonly Replica<Ticket>[];
  queue: readonly Queued[];
}

export interface Outbox {
  /** All that waits, what was queued first in front. */
  read: () => Promise<Unsent>;
  /** Keeps just this; each call is carried out whole, after the one before. */
  keep: (unsent: Unsent) => Promise<void>;
  /** Keeps what a page has in hand as it is left: at once, since nothing else of it is carried to its end. */
  keepLast: (unsent: Unsent) => void;
}

export const NOTHING_UNSENT: Unsent = { tickets: [], queue: [] };
type Row = Replica<Ticket> | Queued;
const isQueued = (row: Row): row is Queued => 'endpoint' in row;

/** Under this name pages that were left keep their last rows, until the next page has put them into the outbox. */
const LAST = 'outbox-last';

function lastRows(): [string, Row][] {
  try {
    return JSON.parse(localStorage.getItem(LAST) ?? '[]');
  } catch {
    return [];
  }
}

/** Where the browser keeps no more, what was kept before a moment ago still stands. */
function keepRows(rows: [string, Row][]): void {
  try {
    localStorage.setItem(LAST, JSON.stringify([...new Map([...lastRows(), ...rows])]));
  } catch {}
}

function forgetLast(): void {
  try {
    localStorage.removeItem(LAST);
  } catch {}
}

/** The outbox in the browser's own database; one that keeps nothing where there is none. */
export function openOutbox(): Outbox {
  if (!('indexedDB' in globalThis))
    return { read: async () => NOTHING_UNSENT, keep: async () => undefined, keepLast: () => undefined };
  const store: UseStore = createStore('zealous-thimble', 'outbox');
  const turn = new Mutex();
  /** Each page keeps its own: two pages may have one ticket in hand. What a page left behind, the next one sends. */
  const keyOf = (row: Row) => `${thisDevice().id} ${isQueued(row) ? row.id : row.value.id}`;
  let held = new Map<string, Row>();
  const read = async () => {
    const last = lastRows();
    if (last.length > 0) await setMany(last, store);
    forgetLast();
    held = new Map(await entries<string, Row>(store));
    const rows = [...held.values()];
    return {
      tickets: rows.filter((row): row is Replica<Ticket> => !isQueued(row)),
      // Their ids sort by time.
      queue: rows.filter(isQueued).sort((a, b) => (a.id < b.id ? -1 : 1)),
    };
  };
  const keep = ({ tickets, queue }: Unsent) =>
    turn.runExclusive(async () => {
      const now = new Map([...tickets, ...queue].map((row) => [keyOf(row), row]));
      const gone = [...held.keys()].filter((id) => !now.has(id));
      const changed = [...now].filter(([id, row]) => held.get(id) !== row);
      if (changed.length > 0) await setMany(changed, store);
      if (gone.length > 0) await delMany(gone, store);
      held = now;
    });
  const keepLast = ({ tickets, queue }: Unsent) => {
    const rows = [...tickets, ...queue];
    if (rows.length > 0) keepRows(rows.map((row) => [keyOf(row), row]));
  };
  return { read, keep, keepLast };
}
