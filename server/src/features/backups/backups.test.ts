import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { exampleA } from '@zt/core/testing/samples';
import { checkBackup } from '../../backup/backup';
import { openTestApp, type TestApp } from '../../testing/testApp';

let app: TestApp;
beforeEach(async () => {
  app = await openTestApp();
});
afterEach(() => app.close());

it('are made when asked for, listed with where they lie, and fetched whole', async () => {
  expect(await (await app.get('/api/backups')).json()).toEqual({
    folder: join(app.folder, 'backups'),
    kept: [],
    most: { daily: 7, weekly: 8, 'before-migration': 5, 'before-restore': 5, 'by-hand': 10 },
    photos: { photos: 0, bytes: 0 },
  });
  await app.put(`/api/tickets/${exampleA().id}`, { ticket: exampleA(), rev: 0 });
  const { kept } = await (await app.post('/api/backups')).json();
  expect(kept).toEqual([
    {
      name: expect.stringMatching(/^by-hand_2026-05-04T10-.*\.zip$/),
      kind: 'by-hand',
      madeAt: expect.stringMatching(/^2026-05-04T10:/),
      bytes: expect.any(Number),
    },
  ]);
  const fetched = await app.raw(`/api/backups/${kept[0].name}`);
  expect(fetched.headers.get('content-disposition')).toContain(kept[0].name);
  const folder = mkdtempSync(join(tmpdir(), 'thimble-fetched-'));
  writeFileSync(join(folder, 'shop.zip'), Buffer.from(await fetched.arrayBuffer()));
  expect((await checkBackup(join(folder, 'shop.zip'))).holds.tickets).toBe(1);
  rmSync(folder, { recursive: true });
});

it.each(['none.zip', '..%2Fshop.db', '%2Fetc%2Fpasswd', 'by-hand_2026.zip'])(
  'no other file is sent: %s',
  async (name) => {
    expect((await app.get(`/api/backups/${name}`)).status).toBe(404);
  },
);
