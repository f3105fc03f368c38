import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { KeptTicket } from '@zt/core/model/api';
import { readConfig } from './config/config';
import { createContext } from './context';
import { createApp } from './create-app';
import { openDataFile } from './db/openDataFile';

/** A shop's data file as version 0.1 left it, and what that version answered over it, by address. */
const FORMER = join(__dirname, 'testing/version-0.1');
const unpacked = (name: string) => gunzipSync(readFileSync(join(FORMER, name)));
const ANSWERS = JSON.parse(unpacked('answers.json.gz').toString('utf8')) as Record<string, object>;

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'thimble-former-'));
  writeFileSync(join(folder, 'shop.db'), unpacked('shop.db.gz'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const now = () => new Date().toISOString();

/** The shop in that folder, open. */
async function opened() {
  const config = readConfig({ ZT_DATA: join(folder, 'shop.db'), ZT_WEB: folder });
  const data = await openDataFile(config, now);
  const { store, readOnly, backups } = data;
  const remote = () => '127.0.0.1';
  const app = createApp(await createContext(config, { store, readOnly, backups, now, remote }));
  return {
    readOnly,
    close: data.close,
    asked: async (path: string) => (await app.request(path)).json(),
    put: (path: string, body: object) =>
      app.request(path, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      }),
  };
}

describe('a data file of version 0.1', () => {
  it('opens, and all in it is what that version said it was', async () => {
    const shop = await opened();
    expect(shop.readOnly).toBeNull();
    expect(Object.keys(ANSWERS).length).toBeGreaterThan(15);
    for (const [path, answer] of Object.entries(ANSWERS))
      expect([path, await shop.asked(path)]).toMatchObject([path, answer]);
    await shop.close();
  });

  it('is written to, and holds what was written when it is opened again', async () => {
    const [address = ''] = Object.keys(ANSWERS).filter((path) => /^\/api\/tickets\/./.test(path));
    const first = await opened();
    const { ticket, rev } = (await first.asked(address)) as KeptTicket;
    const named = { ...ticket, name: 'Named anew by a newer version' };
    expect((await first.put(address, { ticket: named, rev, base: ticket })).status).toBe(200);
    await first.close();
    const again = await opened();
    expect(((await again.asked(address)) as KeptTicket).ticket).toEqual(named);
    await again.close();
  });
});
