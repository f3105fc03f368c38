import { Changes } from './changes';
import type { Config } from './config/config';
import { openStore, type Store } from './db/client';

/** What routes work with. Tests put their own in. */
export interface Context {
  config: Config;
  store: Store;
  /** What was changed, for the pages that are open. */
  changes: Changes;
  /** The clock, ISO. */
  now: () => string;
}

export async function createContext(config: Config, overrides: Partial<Context> = {}): Promise<Context> {
  return {
    config,
    store: overrides.store ?? (await openStore(config.databaseUrl)),
    changes: overrides.changes ?? new Changes(),
    now: overrides.now ?? (() => new Date().toISOString()),
  };
}
