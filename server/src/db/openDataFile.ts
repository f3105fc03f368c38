import { dirname, join } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { backUp } from '../backup/schedule';
import type { Config } from '../config/config';
import { Unusable } from '../unusable';
import { isBusy, openStore, type Store } from './client';
import { holdingFile } from './hold';
import { isNewer, type SchemaVersion, schemaVersion } from './schemaVersion';

export interface DataFile {
  store: Store;
  /** The folder that the data lies in; null where it is on another computer. */
  folder: string | null;
  /** Where backups are made by themselves; null where the data is on another computer. */
  backups: string | null;
  /** Why nothing is written to it; null where it is written to. */
  readOnly: string | null;
  close: () => Promise<void>;
}

const FILE = 'file:';

/** Looks at the schema of a file, and into it; what is no database is said to be none. */
async function lookedInto(url: string): Promise<SchemaVersion> {
  let client: Client | null = null;
  try {
    client = createClient({ url });
    return await schemaVersion(client);
  } catch (error) {
    if (isBusy(error))
      throw new Unusable(
        `Another program holds ${url.slice(FILE.length)}: stop it first. Nothing was changed.`,
      );
    throw new Unusable(
      `${url.slice(FILE.length)} is no database of a shop, or it is torn. It was left as it is: take a backup (npm run restore), or name another with ZT_DATA.`,
    );
  } finally {
    client?.close();
  }
}

/** Keeps the data as it was before this program changes its form. */
async function backedUp(url: string, backups: string, now: string) {
  const client = createClient({ url });
  try {
    await backUp(client, backups, { kind: 'before-migration', now });
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    throw new Unusable(
      `This program keeps its data in a newer form, and no backup of the old one could be made in ${backups}: ${why}. Nothing was changed.`,
    );
  } finally {
    client.close();
  }
}

/** A database server that does not answer, or not to this token, is said. */
async function openElsewhere({ databaseUrl: url, access }: Config): Promise<Store> {
  try {
    return await openStore(url, undefined, access);
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    throw new Unusable(`The database at ${url} cannot be used: ${why}. Look to ZT_DATA and ZT_TOKEN.`);
  }
}

/**
 * Opens the shop's data for this program alone. A file whose form is older is backed up before it is brought up to
 * date; one of a newer program is opened for reading only.
 */
export async function openDataFile(config: Config, now: () => string): Promise<DataFile> {
  const { databaseUrl: url } = config;
  if (!url.startsWith(FILE)) {
    const store = await openElsewhere(config);
    return { store, folder: null, backups: null, readOnly: null, close: store.close };
  }
  const path = url.slice(FILE.length);
  const release = await holdingFile(path, true);
  const backups = join(dirname(path), 'backups');
  try {
    const version = await lookedInto(url);
    if (version.had > 0 && version.had < version.known) await backedUp(url, backups, now());
    const readOnly = isNewer(version)
      ? 'This data was kept by a newer program: it can be read here, and nothing is changed. Take the newer program.'
      : null;
    const store = await openStore(url);
    const close = async () => {
      await store.close();
      await release();
    };
    return { store, folder: dirname(path), backups, readOnly, close };
  } catch (error) {
    await release();
    throw error;
  }
}
