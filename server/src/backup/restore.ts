import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import Database from 'libsql';
import { MIGRATIONS } from '../db/client';
import { holdingFile } from '../db/hold';
import { Unusable } from '../unusable';
import { checkBackup, type Holds } from './backup';

/** The files that belong to a database: itself, and what is not merged into it yet. */
const BESIDE = ['', '-wal', '-shm'];

/** What was restored, and where that lies which it replaced; null where there was nothing. */
export interface Restored {
  holds: Holds;
  madeAt: string;
  kept: string | null;
}

/** A backup that is whole, and that this program knows how to read. */
export async function checkedForRestore(from: string) {
  const { manifest, database, holds } = await checkBackup(from);
  const known = readMigrationFiles({ migrationsFolder: MIGRATIONS }).length;
  if (manifest.migrations > known)
    throw new Unusable(
      `${from} was made by a newer program than this one. Take the newer program. Nothing was changed.`,
    );
  return { database, holds, madeAt: manifest.madeAt };
}

const copyShop = (from: string, to: string) => {
  for (const end of BESIDE) if (existsSync(from + end)) copyFileSync(from + end, to + end);
};

const COLUMNS = 'id, name, role, token_hash, paired_at, seen_at';

/**
 * Devices stay paired, and revoked ones revoked, as they were in the file that is replaced: a backup knows them as they
 * were once. Where that cannot be read, none is paired.
 */
function keepPaired(restoring: string, replaced: string | null): void {
  const database = new Database(restoring);
  const scratch = `${restoring}-replaced`;
  try {
    const hasDevices = (of: string) =>
      database.prepare(`SELECT 1 FROM ${of}.sqlite_master WHERE name = 'devices'`).get() !== undefined;
    if (!hasDevices('main')) return;
    database.exec('DELETE FROM main.devices');
    if (replaced === null) return;
    // A copy: opening what was replaced would merge its log, and it is kept as it was.
    copyShop(replaced, scratch);
    database.prepare('ATTACH ? AS replaced').run(scratch);
    if (hasDevices('replaced'))
      database.exec(`INSERT INTO main.devices (${COLUMNS}) SELECT ${COLUMNS} FROM replaced.devices`);
  } catch {
    // What is replaced is torn, or of another form: its devices are paired again.
  } finally {
    database.close();
    for (const end of BESIDE) rmSync(scratch + end, { force: true });
  }
}

/** Puts a database in the place of a file that nobody has open; nothing of the other's log is laid over it. */
export function putInPlace(dataFile: string, database: Uint8Array): void {
  writeFileSync(`${dataFile}.restoring`, database);
  putRestored(dataFile);
}

function putRestored(dataFile: string): void {
  for (const end of BESIDE.slice(1)) rmSync(dataFile + end, { force: true });
  renameSync(`${dataFile}.restoring`, dataFile);
}

/**
 * Puts a backup in the place of a data file that no program has open. It is checked first, and what it replaces is
 * kept whole beside it, with what was not merged into it yet.
 */
export async function restoreBackup(from: string, dataFile: string, now: string): Promise<Restored> {
  const { database, holds, madeAt } = await checkedForRestore(from);
  mkdirSync(dirname(dataFile), { recursive: true });
  const release = await holdingFile(dataFile);
  try {
    const kept = existsSync(dataFile) ? `${dataFile}.before-${now.replace(/[:.]/g, '-')}` : null;
    if (kept) copyShop(dataFile, kept);
    writeFileSync(`${dataFile}.restoring`, database);
    keepPaired(`${dataFile}.restoring`, kept);
    putRestored(dataFile);
    return { holds, madeAt, kept };
  } finally {
    await release();
  }
}
