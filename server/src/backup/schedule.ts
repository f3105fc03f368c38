import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Client } from '@libsql/client';
import { BACKUP_KINDS, type KeptBackup } from '@zt/core/model/api';
import { makeBackup } from './backup';

const DAY_MS = 24 * 60 * 60 * 1000;

/** The backups that are made by themselves: how often, and how many of each are kept. */
export const BACKUPS = {
  daily: { everyMs: DAY_MS, kept: 7 },
  weekly: { everyMs: 7 * DAY_MS, kept: 8 },
  'before-migration': { everyMs: 0, kept: 5 },
  'before-restore': { everyMs: 0, kept: 5 },
  'by-hand': { everyMs: 0, kept: 10 },
} as const satisfies Record<KeptBackup['kind'], { everyMs: number; kept: number }>;
export type BackupKind = keyof typeof BACKUPS;

/** How many of each are kept. */
export const MOST_KEPT = Object.fromEntries(BACKUP_KINDS.map((kind) => [kind, BACKUPS[kind].kept])) as Record<
  BackupKind,
  number
>;

const END = '.zip';
/** The time in a name, as ISO writes it but for what file names cannot hold. */
const nameOf = (kind: BackupKind, now: string): string => `${kind}_${now.replace(/:/g, '-')}${END}`;
const madeAt = (name: string): number => {
  const [date = '', time = ''] = (name.split('_')[1] ?? '').replace(END, '').split('T');
  return Date.parse(`${date}T${time.replace(/-/g, ':')}`);
};

/** The backups of a kind in a folder, the latest first. */
export const backupsIn = (folder: string, kind: BackupKind): string[] =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => name.startsWith(`${kind}_`) && name.endsWith(END))
        .sort()
        .reverse()
    : [];

/** All backups in a folder, the latest first. */
export const allBackups = (folder: string): KeptBackup[] =>
  BACKUP_KINDS.flatMap((kind) =>
    backupsIn(folder, kind).map((name) => ({
      name,
      kind,
      madeAt: new Date(madeAt(name)).toISOString(),
      bytes: statSync(join(folder, name)).size,
    })),
  ).sort((a, b) => b.madeAt.localeCompare(a.madeAt));

/** Makes a backup of a kind, and takes away those that are more than are kept. */
export async function backUp(
  client: Client,
  folder: string,
  { kind, now }: { kind: BackupKind; now: string },
) {
  await makeBackup(client, join(folder, nameOf(kind, now)), now);
  for (const name of backupsIn(folder, kind).slice(BACKUPS[kind].kept)) rmSync(join(folder, name));
}

/** Makes the backups that are due. Returns their kinds. */
export async function backUpWhatIsDue(client: Client, folder: string, now: string): Promise<BackupKind[]> {
  const made: BackupKind[] = [];
  for (const kind of ['daily', 'weekly'] as const) {
    const [latest] = backupsIn(folder, kind);
    if (latest && Date.parse(now) - madeAt(latest) < BACKUPS[kind].everyMs) continue;
    await backUp(client, folder, { kind, now });
    made.push(kind);
  }
  return made;
}
