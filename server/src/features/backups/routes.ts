import { createReadStream } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { BackupsSchema } from '@zt/core/model/api';
import { checkedForRestore, putInPlace } from '../../backup/restore';
import { allBackups, backUp, MOST_KEPT } from '../../backup/schedule';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, failures, notFound } from '../../errors';
import { pairAgain, pairedNow } from '../devices/writer';

const list = createRoute({
  method: 'get',
  path: '/',
  summary: 'The backups that are kept, and where',
  responses: { 200: answers(BackupsSchema, 'The backups') },
});
const make = createRoute({
  method: 'post',
  path: '/',
  summary: 'Make a backup now',
  responses: { 200: answers(BackupsSchema, 'The backups, with the new one'), ...failures },
});

const restore = createRoute({
  method: 'post',
  path: '/{name}/restore',
  summary: 'Go back to a backup; what is there now is backed up first',
  request: { params: z.object({ name: z.string().max(120) }) },
  responses: { 200: answers(BackupsSchema, 'The backups, with the one of what was there'), ...failures },
});

const FILE = 'file:';

export function backupRoutes({ store, config, changes, backups, photos, now }: Context) {
  const listed = async () => ({
    folder: backups,
    kept: backups ? allBackups(backups) : [],
    most: MOST_KEPT,
    photos: await photos.held(),
  });
  const app = new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => c.json(await listed(), 200))
    .openapi(make, async (c) => {
      if (!backups)
        throw new ApiError(400, 'elsewhere', 'The data is on another computer: it is backed up there.');
      await backUp(store.db.$client, backups, { kind: 'by-hand', now: now() });
      return c.json(await listed(), 200);
    })
    .openapi(restore, async (c) => {
      // Only what is listed is restored: no name leads out of the folder.
      const kept = (await listed()).kept.find(({ name }) => name === c.req.valid('param').name);
      if (!kept || !backups) throw notFound('backup');
      const { database } = await checkedForRestore(join(backups, kept.name));
      await backUp(store.db.$client, backups, { kind: 'before-restore', now: now() });
      const paired = await pairedNow(store.db);
      await store.replace(async () => putInPlace(config.databaseUrl.slice(FILE.length), database));
      // Who was revoked since stays revoked, and who was paired stays paired.
      await store.write((tx) => pairAgain(tx, paired));
      changes.tell({ noun: 'all', id: null, rev: store.era, device: null });
      return c.json(await listed(), 200);
    });
  app.get('/:name', async (c) => {
    const name = z.string().parse(c.req.param('name'));
    // Only what is listed is sent: no name leads out of the folder.
    const kept = (await listed()).kept.find((backup) => backup.name === name);
    if (!kept || !backups) throw notFound('backup');
    const file = Readable.toWeb(createReadStream(join(backups, kept.name))) as ReadableStream;
    return c.body(file, 200, {
      'content-type': 'application/zip',
      'content-length': String(kept.bytes),
      'content-disposition': `attachment; filename="${kept.name}"`,
      'cache-control': 'no-store',
    });
  });
  return app;
}
