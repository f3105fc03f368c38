import { join } from 'node:path';
import type { Context as Asked } from 'hono';
import { Changes } from './changes';
import type { Config } from './config/config';
import { openStore, type Store } from './db/client';
import type { Reach } from './http/network';
import { remoteOf } from './http/remote';
import { type PhotoStore, photoFolder, photoServer, withCopies } from './photos/photoStore';

/** What routes work with. Tests put their own in. */
export interface Context {
  config: Config;
  store: Store;
  /** What was changed, for the pages that are open. */
  changes: Changes;
  /** Where photos of pieces are kept. */
  photos: PhotoStore;
  /** Where backups are kept; null where none are made here. */
  backups: string | null;
  /** Why nothing is written; null where it is. */
  readOnly: string | null;
  /** From where it is asked; switched while it runs. */
  reach: Reach;
  /** The address that a request comes from; null where that cannot be told. */
  remote: (c: Asked) => string | null;
  /** The clock, ISO. */
  now: () => string;
}

/** Where photos are kept, with a copy beside the backups where those are made here. */
function photosWith(config: Config, backups: string | null): PhotoStore {
  const photos = photosOf(config);
  return backups ? withCopies(photos, photoFolder(join(backups, 'photos'))) : photos;
}

/** Where photos are kept: with a store of objects where one is named, else in a folder. */
const photosOf = ({ photos }: Config): PhotoStore =>
  /^https?:/.test(photos.at) ? photoServer(photos.at, photos.token) : photoFolder(photos.at);

export async function createContext(config: Config, overrides: Partial<Context> = {}): Promise<Context> {
  return {
    config,
    store: overrides.store ?? (await openStore(config.databaseUrl, undefined, config.access)),
    changes: overrides.changes ?? new Changes(),
    photos: overrides.photos ?? photosWith(config, overrides.backups ?? null),
    backups: overrides.backups ?? null,
    readOnly: overrides.readOnly ?? null,
    reach: overrides.reach ?? { host: config.host, secure: null, open: null },
    remote: overrides.remote ?? remoteOf,
    now: overrides.now ?? (() => new Date().toISOString()),
  };
}
