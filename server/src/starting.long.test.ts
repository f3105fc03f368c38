import { type ChildProcess, spawn } from 'node:child_process';
import {
  cpSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { get } from 'node:https';
import { createServer } from 'node:net';
import { networkInterfaces, tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import Database from 'libsql';
import { openStore } from './db/client';

const ROOT = join(__dirname, '../..');
const started: ChildProcess[] = [];
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'thimble-start-'));
});
afterEach(() => {
  for (const child of started.splice(0)) child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

/** The migrations as they were before the last one came. */
function allMigrationsButTheLast(): string {
  const older = join(folder, 'older');
  cpSync(join(ROOT, 'server/src/db/migrations'), older, { recursive: true });
  const journal = join(older, 'meta/_journal.json');
  const { entries, ...others } = JSON.parse(readFileSync(journal, 'utf8'));
  writeFileSync(journal, JSON.stringify({ ...others, entries: entries.slice(0, -1) }));
  return older;
}

interface Ended {
  code: number | null;
  said: string;
}

/** Starts the program as it is built; it is ready once it says where, or ended. */
function start(env: Record<string, string>, command = 'main', args: string[] = []) {
  const child = spawn(process.execPath, [join(ROOT, '.build/server', `${command}.mjs`), ...args], {
    cwd: ROOT,
    env: { ...process.env, ZT_DATA: join(folder, 'shop.db'), ZT_WEB: folder, PORT: '0', ...env },
  });
  started.push(child);
  let said = '';
  const ended = new Promise<Ended>((done) => child.once('exit', (code) => done({ code, said })));
  const ready = new Promise<string>((done, failed) => {
    const hear = (chunk: Buffer) => {
      said += chunk;
      const [url] = /http:\S+/.exec(said) ?? [];
      if (url) done(url);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    void ended.then(() => failed(new Error(`It ended: ${said}`)));
  });
  ready.catch(() => undefined);
  return { child, ended, ready, said: () => said };
}

/** A sentence and a code; nothing of the program's insides. */
function endedSaying({ code, said }: Ended, pattern: RegExp) {
  expect(said).toMatch(pattern);
  expect(said).not.toMatch(/\n {4}at |node:internal/);
  expect(code).toBe(2);
}

describe('what it cannot start with is said in a sentence', () => {
  it('a port in use', async () => {
    const other = createServer().listen(0, '127.0.0.1');
    await new Promise((listening) => other.once('listening', listening));
    const { port } = other.address() as { port: number };
    endedSaying(await start({ PORT: String(port) }).ended, /^Port \d+ is in use: .* PORT\.\n$/);
    other.close();
  });

  it.each([
    ['a bad setting', { PORT: 'many' }, /^The setting PORT cannot be used: /],
    ['a folder that cannot be made', { ZT_DATA: '/dev/null/none/shop.db' }, /^The folder .* cannot be made/],
  ])('%s', async (_, env, pattern) => {
    endedSaying(await start(env as Record<string, string>).ended, pattern);
  });

  it.each([
    ['no database', 'a letter, not a database'.repeat(50)],
    ['a torn one', `SQLite format 3\0${'torn'.repeat(500)}`],
  ])('%s, and it is left as it was', async (_, text) => {
    const file = join(folder, 'shop.db');
    writeFileSync(file, text);
    endedSaying(await start({}).ended, /is no database of a shop, or it is torn\. It was left as it is/);
    expect(readFileSync(file, 'utf8')).toBe(text);
  });

  it('a file that another program holds', async () => {
    const other = new Database(join(folder, 'shop.db'));
    other.exec('CREATE TABLE whatever (a); BEGIN EXCLUSIVE');
    endedSaying(
      await start({}).ended,
      /^Another program holds .*shop\.db: stop it first\. Nothing was changed\./,
    );
    other.close();
  });

  it('a folder in place of the file', async () => {
    mkdirSync(join(folder, 'shop.db'));
    endedSaying(await start({}).ended, /is no database of a shop|cannot be written to/);
  });
});

it('an empty file is a new shop', async () => {
  writeFileSync(join(folder, 'shop.db'), '');
  const url = await start({}).ready;
  expect(await (await fetch(`${url}/api/tickets`)).json()).toEqual({ tickets: [], total: 0, next: null });
});

it('a second program on one file says so and stops; restoring waits for it to be stopped; then all is in one file', async () => {
  const first = start({});
  const url = await first.ready;
  endedSaying(await start({}).ended, /^Another program has .*shop\.db open: stop it first\./);
  const backup = join(folder, 'my.zip');
  expect(await start({}, 'backup', [backup]).ended).toMatchObject({
    code: 0,
    said: expect.stringContaining('is made and checked: 0 tickets'),
  });
  endedSaying(await start({}, 'restore', [backup]).ended, /Another program has .* open/);
  expect((await fetch(`${url}/api/health`)).status).toBe(200);
  first.child.kill('SIGINT');
  expect((await first.ended).code).toBe(0);
  expect(await start({}, 'restore', [backup]).ended).toMatchObject({
    code: 0,
    said: expect.stringMatching(/is back: 0 tickets.*\nWhat it replaced is kept as /),
  });
});

it('a backup of nothing, and a migration that cannot be backed up, are said, and nothing is made or changed', async () => {
  const file = join(folder, 'shop.db');
  endedSaying(await start({}, 'backup', [join(folder, 'my.zip')]).ended, /^There is no data at /);
  expect(readdirSync(folder)).toEqual([]);
  await (await openStore(`file:${file}`, allMigrationsButTheLast())).close();
  writeFileSync(join(folder, 'backups'), 'in the way');
  endedSaying(await start({}).ended, /no backup of the old one could be made in .*Nothing was changed/);
  rmSync(join(folder, 'backups'));
  const again = start({});
  await again.ready;
  expect(readdirSync(join(folder, 'backups')).some((name) => name.startsWith('before-migration_'))).toBe(
    true,
  );
});

it('data of a newer program can be read and is not changed', async () => {
  const first = start({});
  await first.ready;
  first.child.kill('SIGINT');
  await first.ended;
  const db = createClient({ url: `file:${join(folder, 'shop.db')}` });
  for (let n = 0; n < 9; n += 1)
    await db.execute("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('newer', 9999999999999)");
  db.close();
  const newer = start({});
  const url = await newer.ready;
  expect((await fetch(`${url}/api/shelf`)).status).toBe(200);
  const rules = await (await fetch(`${url}/api/rules`)).text();
  const headers = { 'content-type': 'application/json' };
  const refused = await fetch(`${url}/api/rules`, { method: 'PUT', headers, body: rules });
  expect([refused.status, await refused.json()]).toEqual([
    403,
    { code: 'read-only', message: expect.stringContaining('kept by a newer program') },
  ]);
  expect(newer.said()).toContain('kept by a newer program');
});

it('for other devices https is spoken too, with a certificate that the shop’s own authority vouches for', async () => {
  const shop = start({ HOST: '0.0.0.0' });
  const url = await shop.ready;
  const authority = await (await fetch(`${url}/api/certificate`)).text();
  expect(authority).toMatch(/^-----BEGIN CERTIFICATE-----/);
  const { securePort } = (await (await fetch(`${url}/api/devices/me`)).json()) as { securePort: number };
  const asked = (ca?: string) =>
    new Promise<string>((done, failed) => {
      get({ host: '127.0.0.1', port: securePort, path: '/api/health', ...(ca ? { ca } : {}) }, (answer) => {
        answer.on('data', (chunk) => done(String(chunk)));
      }).on('error', failed);
    });
  expect(await asked(authority)).toBe('{"ok":true}');
  await expect(asked()).rejects.toThrow(/certificate/);
  // The authority stays the same, so that a device trusts it once; its key is nobody else's to read.
  const key = join(folder, 'certificates/authority.key');
  expect(statSync(key).mode & 0o077).toBe(0);
  shop.child.kill('SIGINT');
  await shop.ended;
  const again = start({ HOST: '0.0.0.0' });
  expect(await (await fetch(`${await again.ready}/api/certificate`)).text()).toBe(authority);
});

const address = Object.values(networkInterfaces())
  .flat()
  .find((one) => one && !one.internal && one.family === 'IPv4')?.address;

it('other devices are answered from when that is switched on, and no more once it is switched off', async () => {
  if (!address) throw new Error('This test needs an address in a network.');
  const shop = start({});
  const url = await shop.ready;
  const { port } = new URL(url);
  const asOther = (at: string, init: RequestInit = {}) =>
    fetch(`http://${address}:${port}/api/${at}`, init).then(
      ({ status }) => status,
      () => 'not answered',
    );
  const onOther = (init: object) => ({ ...init, headers: { 'content-type': 'application/json' } });
  const switched = async (isOpen: boolean) => {
    const body = JSON.stringify({ isOpen });
    const answer = await fetch(`${url}/api/devices/network`, onOther({ method: 'PUT', body }));
    return answer.json();
  };
  expect(await asOther('health')).toBe('not answered');
  expect(await switched(true)).toEqual({ isOpen: true, maySwitch: true });
  expect(await asOther('health')).toBe(200);
  expect(await asOther('tickets')).toBe(401);
  const { securePort } = (await (await fetch(`${url}/api/devices/me`)).json()) as { securePort: number };
  expect(securePort).toBeGreaterThan(0);
  expect(await switched(true)).toEqual({ isOpen: true, maySwitch: true });
  expect(await switched(false)).toEqual({ isOpen: false, maySwitch: true });
  expect(await asOther('health')).toBe('not answered');
  expect((await fetch(`${url}/api/tickets`)).status).toBe(200);
  expect((await (await fetch(`${url}/api/devices/me`)).json()) as object).toMatchObject({ securePort: null });
  // Where another program has the port for others, it is said, and all stays as it was.
  const other = createServer().listen(Number(port), address);
  await new Promise((listening) => other.once('listening', listening));
  expect(await switched(true)).toMatchObject({ code: 'not-switched' });
  expect(await (await fetch(`${url}/api/devices/network`)).json()).toEqual({
    isOpen: false,
    maySwitch: true,
  });
  other.close();
});
