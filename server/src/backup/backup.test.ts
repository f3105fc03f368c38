import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { holdingFile } from '../db/hold';
import { pairDevice } from '../features/devices/writer';
import { openTestApp, type TestApp } from '../testing/testApp';
import { checkBackup, makeBackup } from './backup';
import { readBundle, writeBundle } from './bundle';
import { restoreBackup } from './restore';
import { BACKUPS, backUpWhatIsDue, backupsIn } from './schedule';

const NOW = '2026-05-04T10:00:00.000Z';
let shop: TestApp;
let folder: string;
let file: string;
beforeEach(async () => {
  shop = await openTestApp();
  folder = mkdtempSync(join(tmpdir(), 'thimble-restore-'));
  file = join(folder, 'shop.zip');
  await shop.put(`/api/tickets/${exampleA().id}`, { ticket: exampleA(), rev: 0 });
  for (const thread of SAMPLE_SHELF.threads) await shop.putItem('threads', thread);
});
afterEach(async () => {
  await shop.close();
  rmSync(folder, { recursive: true, force: true });
});

const client = () => shop.store.db.$client;
/** All that a data file holds, table by table. */
async function allOf(path: string): Promise<unknown> {
  const db = createClient({ url: `file:${path}` });
  const tables = ['tickets', 'log_entries', 'shelf_items', 'house_rules'];
  const rows = await Promise.all(
    tables.map(async (t) => (await db.execute(`SELECT * FROM ${t} ORDER BY id`)).rows.map((r) => ({ ...r }))),
  );
  db.close();
  return rows;
}

it('a backup made while the shop goes on brings all of that moment back, and keeps what it replaces', async () => {
  const data = join(shop.folder, 'shop.db');
  const atThatMoment = await allOf(data);
  expect(await makeBackup(client(), file, NOW)).toEqual({
    tickets: 1,
    entries: 0,
    shelfItems: SAMPLE_SHELF.threads.length,
  });
  await shop.put(`/api/tickets/${exampleB().id}`, { ticket: exampleB(), rev: 0 });
  await shop.put(`/api/tickets/${exampleA().id}`, { ticket: { ...exampleA(), name: 'worked on' }, rev: 1 });
  await shop.store.close();
  const workedOn = await allOf(data);
  const { kept, holds } = await restoreBackup(file, data, NOW);
  expect([holds.tickets, await allOf(data)]).toEqual([1, atThatMoment]);
  expect(await allOf(kept ?? '')).toEqual(workedOn);
});

it('devices stay paired as they were before it, not as they were once', async () => {
  const data = join(shop.folder, 'shop.db');
  const pairedOf = async (path: string) => {
    const db = createClient({ url: `file:${path}` });
    const { rows } = await db.execute('SELECT name FROM devices ORDER BY name');
    db.close();
    return rows.map(({ name }) => name);
  };
  const pair = (name: string) =>
    shop.store.write((tx) => pairDevice(tx, { name, role: 'owner', token: name }, NOW));
  await pair('lost phone');
  await makeBackup(client(), file, NOW);
  await shop.store.db.run("DELETE FROM devices WHERE name = 'lost phone'");
  await pair('new phone');
  await shop.store.close();
  await restoreBackup(file, data, NOW);
  expect(await pairedOf(data)).toEqual(['new phone']);
  // Where there was no shop before, nobody is let in by what was paired elsewhere.
  await restoreBackup(file, join(folder, 'another.db'), NOW);
  expect(await pairedOf(join(folder, 'another.db'))).toEqual([]);
});

it('is laid over no log of the file that it replaces', async () => {
  const data = join(folder, 'other.db');
  await makeBackup(client(), file, NOW);
  writeFileSync(data, 'whatever was there');
  for (const end of ['-wal', '-shm']) writeFileSync(data + end, 'of the other');
  const { kept } = await restoreBackup(file, data, NOW);
  expect(existsSync(`${data}-wal`)).toBe(false);
  expect(await allOf(data)).toEqual(await allOf(join(shop.folder, 'shop.db')));
  expect(readFileSync(`${kept}-wal`, 'utf8')).toBe('of the other');
});

describe('what is refused, with nothing changed', () => {
  const data = () => join(folder, 'data.db');
  const refused = (pattern: RegExp) => async () => {
    writeFileSync(data(), 'as it was');
    await expect(restoreBackup(file, data(), NOW)).rejects.toThrow(pattern);
    expect(readFileSync(data(), 'utf8')).toBe('as it was');
    expect(readdirSync(folder).filter((name) => name.startsWith('data.db'))).toEqual(['data.db']);
  };

  it('a file that is none, or is not there', async () => {
    await refused(/cannot be read as a backup/)();
    writeFileSync(file, 'no zip');
    await refused(/cannot be read as a backup/)();
  });

  it('a torn one, and one that was changed after it was made', async () => {
    await makeBackup(client(), file, NOW);
    const whole = readFileSync(file);
    writeFileSync(file, whole.subarray(0, whole.length / 2));
    await refused(/cannot be read as a backup/)();
    writeFileSync(file, whole);
    const { database } = readBundle(file);
    writeBundle(file, database.subarray(0, 5000), { madeAt: NOW, migrations: 1 });
    await refused(/is damaged|cannot be opened/)();
  });

  it('one of a newer program', async () => {
    await makeBackup(client(), file, NOW);
    writeBundle(file, readBundle(file).database, { madeAt: NOW, migrations: 99 });
    await refused(/a newer program/)();
  });

  it('in place of a file that another program has open', async () => {
    await makeBackup(client(), file, NOW);
    writeFileSync(data(), 'as it was');
    const release = await holdingFile(data());
    await expect(restoreBackup(file, data(), NOW)).rejects.toThrow(/Another program has .* open/);
    await release();
    expect(readFileSync(data(), 'utf8')).toBe('as it was');
  });
});

it('by themselves there is one a day and one a week, so many of each, and every one opens', async () => {
  const day = (n: number) => new Date(Date.parse(NOW) + n * 86_400_000).toISOString();
  const made: string[][] = [];
  for (let n = 0; n < 20; n += 1) made.push(await backUpWhatIsDue(client(), folder, day(n)));
  expect(made.slice(0, 8)).toEqual([
    ['daily', 'weekly'],
    ['daily'],
    ['daily'],
    ['daily'],
    ['daily'],
    ['daily'],
    ['daily'],
    ['daily', 'weekly'],
  ]);
  expect(await backUpWhatIsDue(client(), folder, day(19))).toEqual([]);
  expect(backupsIn(folder, 'daily')).toHaveLength(BACKUPS.daily.kept);
  expect(backupsIn(folder, 'weekly')).toHaveLength(3);
  for (const name of backupsIn(folder, 'daily'))
    expect((await checkBackup(join(folder, name))).holds.tickets).toBe(1);
});
