import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type Client, createClient } from '@libsql/client';
import { Mutex } from 'async-mutex';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { writesTogether } from './writesTogether';

export type Db = LibSQLDatabase & { $client: Client };
/** What a writer takes: a running transaction, so that it cannot write outside one. */
export type Transaction = Parameters<Parameters<Db['transaction']>[0]>[0];

/** An open database with its one queue of writes. */
export interface Store {
  db: Db;
  /**
   * Runs a write whole or not at all, after all writes asked for before it; done once it is on the disk. Those that
   * wait meanwhile share one transaction, each undone alone if it fails. While another program holds the file it is
   * rolled back and tried again, for `PATIENCE_MS`; after that `StoreBusy` is thrown, and nothing written.
   */
  write: <T>(work: (tx: Transaction) => Promise<T>) => Promise<T>;
  /** How often all of the data was replaced by other data: what pages know of it is then of no use. */
  era: number;
  /** Once this is so, nothing is being replaced. */
  ready: Promise<void>;
  /** Lets the file go, after all writes asked for before, while work puts another in its place; opens what is there then. */
  replace: (work: () => Promise<void>) => Promise<void>;
  /** Waits for the writes that were asked for, and leaves everything in the one file. */
  close: () => Promise<void>;
}

/** Another program holds the database file. */
export class StoreBusy extends Error {}

export const MIGRATIONS = join(dirname(fileURLToPath(import.meta.url)), 'migrations');
/** How long one statement waits for the file; short, since nobody else is answered meanwhile. */
const WAIT_MS = 100;
const PAUSE_MS = 100;
const PATIENCE_MS = 8000;

/** Whether an error, or what caused it, speaks of something. */
export const speaksOf = (error: unknown, what: RegExp): boolean =>
  error instanceof Error &&
  (what.test(`${error.message} ${'code' in error ? error.code : ''}`) || speaksOf(error.cause, what));

/** Whether an error, or what caused it, is that the file is held by another. */
export const isBusy = (error: unknown): boolean => speaksOf(error, /SQLITE_(BUSY|LOCKED)|database is locked/);

/**
 * Does work on the file, again and again while another program holds it. A statement that was refused stays open in
 * its connection, and keeps every later one there from committing: the connections are closed and opened anew.
 */
async function patiently<T>(client: Client, work: () => Promise<T>): Promise<T> {
  const until = Date.now() + PATIENCE_MS;
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!isBusy(error)) throw error;
      if (Date.now() > until) throw new StoreBusy('The database file is held by another program.');
      await client.reconnect();
      await new Promise((later) => setTimeout(later, PAUSE_MS));
    }
  }
}

/** What a database server is asked with: its token, and the file in which a copy of it is kept at hand. */
export interface Access {
  token?: string | undefined;
  replica?: string | undefined;
}

/** A copy of a database server's data is brought up to date so often, s. */
const SYNC_S = 60;

/** A file is opened; a database server is asked, or read from the copy of it that is kept here. */
const clientFor = (url: string, { token, replica }: Access): Client =>
  createClient({
    ...(replica ? { url: `file:${replica}`, syncUrl: url, syncInterval: SYNC_S } : { url, timeout: WAIT_MS }),
    ...(token ? { authToken: token } : {}),
  });

/** A connection to the database, brought up to date. */
async function connected(url: string, migrationsFolder: string, access: Access): Promise<Db> {
  const client = clientFor(url, access);
  await patiently(client, () => client.execute('PRAGMA journal_mode = WAL'));
  await client.execute('PRAGMA foreign_keys = ON');
  const db = drizzle(client, { casing: 'snake_case' });
  await patiently(client, () => migrate(db, { migrationsFolder }));
  return db;
}

/** Leaves everything in the one file, and lets it go. */
async function disconnected({ $client: client }: Db): Promise<void> {
  if (client.closed) return;
  if (client.protocol === 'file')
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
  client.close();
}

/** Counts how often the data was replaced as a whole; kept in the file. */
async function eraOf({ $client }: Db): Promise<number> {
  const { rows } = await $client.execute('PRAGMA user_version');
  return Number(rows[0]?.user_version ?? 0);
}

/** Opens the database, brings it up to date, and queues its writes: SQLite takes one writer at a time. */
export async function openStore(
  url: string,
  migrationsFolder = MIGRATIONS,
  access: Access = {},
): Promise<Store> {
  const writer = new Mutex();
  const db = await connected(url, migrationsFolder, access);
  const store: Store = {
    db,
    era: await eraOf(db),
    ready: Promise.resolve(),
    write: writesTogether<Transaction>((work) =>
      writer.runExclusive(() => patiently(store.db.$client, () => store.db.transaction(work))),
    ),
    replace: async (work) => {
      const era = store.era + 1;
      const replaced = writer.runExclusive(async () => {
        await disconnected(store.db);
        try {
          await work();
        } finally {
          store.db = await connected(url, migrationsFolder, access);
        }
        await store.db.$client.execute(`PRAGMA user_version = ${era}`);
        store.era = era;
      });
      store.ready = replaced.catch(() => undefined);
      await replaced;
    },
    close: async () => {
      // Behind all that was asked for.
      if (!store.db.$client.closed) await store.write(async () => undefined).catch(() => undefined);
      await writer.runExclusive(() => disconnected(store.db));
    },
  };
  return store;
}
