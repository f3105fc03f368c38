import { mkdirSync, mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { schemaVersion } from '../db/schemaVersion';
import { Unusable } from '../unusable';
import { readBundle, writeBundle } from './bundle';

/** Work in a folder of its own, which goes with it. */
async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'thimble-backup-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What a whole database holds, by its own word. */
export interface Holds {
  tickets: number;
  entries: number;
  shelfItems: number;
}

const countOf = async (client: Client, table: string): Promise<number> =>
  Number((await client.execute(`SELECT count(*) AS n FROM ${table}`)).rows[0]?.n ?? 0);

/** Opens a database file and looks whether it is whole; says what is in it. */
async function checkedDatabase(path: string, named: string): Promise<Holds> {
  const client = createClient({ url: `file:${path}` });
  try {
    const { rows } = await client.execute('PRAGMA integrity_check');
    if (rows[0]?.integrity_check !== 'ok') throw new Unusable(`The database in ${named} is damaged.`);
    return {
      tickets: await countOf(client, 'tickets'),
      entries: await countOf(client, 'log_entries'),
      shelfItems: await countOf(client, 'shelf_items'),
    };
  } catch (error) {
    if (error instanceof Unusable) throw error;
    throw new Unusable(`The database in ${named} cannot be opened.`);
  } finally {
    client.close();
  }
}

/** Reads a backup whole, opens its database and looks into it: only then it counts. */
export const checkBackup = (path: string) =>
  inFolder(async (folder) => {
    const { manifest, database } = readBundle(path);
    const copy = join(folder, 'copy.db');
    writeFileSync(copy, database);
    return { manifest, database, holds: await checkedDatabase(copy, path) };
  });

/**
 * Makes a backup while the shop goes on, in one file, and checks it. It stands under its name only once it is whole;
 * an older one of that name is replaced then.
 */
export const makeBackup = (client: Client, to: string, now: string): Promise<Holds> =>
  inFolder(async (folder) => {
    const copy = join(folder, 'copy.db');
    await client.execute({ sql: 'VACUUM INTO ?', args: [copy] });
    const { had } = await schemaVersion(client);
    mkdirSync(dirname(resolve(to)), { recursive: true });
    const unfinished = `${to}.unfinished`;
    writeBundle(unfinished, readFileSync(copy), { madeAt: now, migrations: had });
    const { holds } = await checkBackup(unfinished);
    renameSync(unfinished, to);
    return holds;
  });
