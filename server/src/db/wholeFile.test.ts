import { copyFileSync, existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { exampleA } from '@zt/core/testing/samples';
import { readBench } from '../features/tickets/reader';
import { openTestApp } from '../testing/testApp';
import { openStore } from './client';

it('closing leaves one whole file that can be copied', async () => {
  const shop = await openTestApp();
  await shop.put(`/api/tickets/${exampleA().id}`, { ticket: exampleA(), rev: 0 });
  await shop.store.close();
  const file = join(shop.folder, 'shop.db');
  const ahead = `${file}-wal`;
  expect(existsSync(ahead) ? statSync(ahead).size : 0).toBe(0);
  const copy = join(shop.folder, 'copy.db');
  copyFileSync(file, copy);
  const store = await openStore(`file:${copy}`, join(process.cwd(), 'server/src/db/migrations'));
  expect((await readBench(store.db, {})).tickets).toHaveLength(1);
  await store.close();
  await shop.close();
});
