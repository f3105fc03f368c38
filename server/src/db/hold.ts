import { existsSync } from 'node:fs';
import { lock } from 'proper-lockfile';
import { Unusable } from '../unusable';

/** A program that ended without a word is taken for gone after so long, ms; so long, and a little, is waited for it. */
const GONE_MS = 5000;
const TRIES = { retries: 6, minTimeout: 1000, factor: 1 };

/**
 * Holds a data file for this program alone; returns what lets it go. Another that holds it is told of: at once, or
 * after waiting for one that may have ended without a word.
 */
export async function holdingFile(dataFile: string, waits = false): Promise<() => Promise<void>> {
  try {
    return await lock(dataFile, {
      realpath: false,
      stale: GONE_MS,
      retries: waits ? TRIES : 0,
      onCompromised: () => undefined,
    });
  } catch (error) {
    if (error instanceof Error && 'code' in error && error.code === 'ELOCKED')
      throw new Unusable(`Another program has ${dataFile} open: stop it first. Nothing was changed.`);
    const why = existsSync(dataFile) ? 'cannot be written to' : 'cannot be made';
    throw new Unusable(`The data file ${dataFile} ${why}: look to its folder and who may write there.`);
  }
}
