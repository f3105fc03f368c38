import { readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { exampleA, exampleB } from '@zt/core/testing/samples';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
  await shop.put(`/api/tickets/${exampleA().id}`, { ticket: exampleA(), rev: 0 });
});
afterEach(() => shop.close());

const exported = async () => ({ ...(await (await shop.get('/api/export')).json()), exportedAt: '' });
const backups = async () =>
  (await (await shop.get('/api/backups')).json()).kept as { name: string; kind: string }[];

it('the running shop goes back to a backup, all of it, tells the pages, and goes on; and back again', async () => {
  const then = await exported();
  await shop.post('/api/backups');
  await shop.put(`/api/tickets/${exampleB().id}`, { ticket: exampleB(), rev: 0 });
  await shop.put('/api/rules', { rules: { units: { system: 'mm' }, schools: {}, numbers: {} } });
  const now = await exported();
  const heard: string[] = [];
  shop.context.changes.listen(({ noun }) => heard.push(noun));
  const [{ name } = { name: '' }] = await backups();
  const meanwhile = [1, 2, 3, 4].map(() => shop.get('/api/tickets'));
  expect((await shop.post(`/api/backups/${name}/restore`)).status).toBe(200);
  expect((await Promise.all(meanwhile)).map(({ status }) => status)).toEqual([200, 200, 200, 200]);
  expect(await exported()).toEqual(then);
  expect([heard, shop.store.era]).toEqual([['all'], 1]);
  const before = (await backups()).find(({ kind }) => kind === 'before-restore');
  await shop.put(`/api/tickets/${exampleB().id}`, { ticket: exampleB(), rev: 0 });
  await shop.post(`/api/backups/${before?.name}/restore`);
  expect(await exported()).toEqual(now);
  expect(shop.store.era).toBe(2);
});

it('goes back to nothing that is not listed, or not whole, and all is as it was', async () => {
  const now = await exported();
  expect((await shop.post('/api/backups/..%2Fshop.db/restore')).status).toBe(404);
  await shop.post('/api/backups');
  const [{ name } = { name: '' }] = await backups();
  writeFileSync(join(shop.folder, 'backups', name), 'torn');
  const refused = await shop.post(`/api/backups/${name}/restore`);
  expect([refused.status, (await refused.json()).code]).toEqual([400, 'unusable']);
  expect(await exported()).toEqual(now);
  expect(readdirSync(join(shop.folder, 'backups'))).toHaveLength(1);
});
