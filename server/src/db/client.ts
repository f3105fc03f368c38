import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createClient } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';

export type Db = LibSQLDatabase;
/** What a writer takes: a running transaction, so that it cannot write outside one. */
export type Transaction = Parameters<Parameters<Db['transaction']>[0]>[0];

/** An open database with its one queue of writes. */
export interface Store {
  db: Db;
  /** Runs a write in a transaction of its own, after all writes asked for before it. */
  write: <T>(work: (tx: Transaction) => Promise<T>) => Promise<T>;
  close: () => void;
}

const MIGRATIONS = join(dirname(fileURLToPath(import.meta.url)), 'migrations');

/** Opens the database, brings it up to date, and queues its writes: SQLite takes one writer at a time. */
export async function openStore(url: string, migrationsFolder = MIGRATIONS): Promise<Store> {
  const client = createClient({ url });
  await client.execute('PRAGMA journal_mode = WAL');
  await client.execute('PRAGMA foreign_keys = ON');
  const db = drizzle(client, { casing: 'snake_case' });
  await migrate(db, { migrationsFolder });
  let last: Promise<unknown> = Promise.resolve();
  const write: Store['write'] = (work) => {
    const run = last.then(() => db.transaction(work));
    last = run.catch(() => undefined);
    return run;
  };
  return { db, write, close: () => client.close() };
}
