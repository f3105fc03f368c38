import type { Config } from './config/config';
import { openStore, type Store } from './db/client';

/** What routes work with. Tests put their own in. */
export interface Context {
  config: Config;
  store: Store;
  /** The clock, ISO. */
  now: () => string;
}

export async function createContext(config: Config, overrides: Partial<Context> = {}): Promise<Context> {
  return {
    config,
    store: overrides.store ?? (await openStore(config.databaseUrl)),
    now: overrides.now ?? (() => new Date().toISOString()),
  };
}
