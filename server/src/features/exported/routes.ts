import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { BroughtInSchema, ExportedSchema } from '@zt/core/model/exported';
import { backUp } from '../../backup/schedule';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, body, failures } from '../../errors';
import { readAll } from './reader';
import { bringIn } from './writer';

const read = createRoute({
  method: 'get',
  path: '/',
  summary: 'All data of the shop as one document',
  responses: { 200: answers(ExportedSchema, 'All of it') },
});
const schema = createRoute({
  method: 'get',
  path: '/schema',
  summary: 'The JSON schema of that document',
  responses: { 200: answers(z.record(z.string(), z.unknown()), 'The schema') },
});
const bring = createRoute({
  method: 'post',
  path: '/',
  summary: 'Bring such a document in: what is not here yet; a backup is made first',
  request: { body: body(ExportedSchema) },
  responses: { 200: answers(BroughtInSchema, 'What was brought in'), ...failures },
});

const asFile = (name: string) => ({
  'content-disposition': `attachment; filename="${name}"`,
  'cache-control': 'no-store',
});

export function exportedRoutes({ store, backups, changes, now }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) => c.json(await readAll(store.db, now()), 200, asFile('shop.json')))
    .openapi(schema, (c) =>
      c.json(
        z.toJSONSchema(ExportedSchema, { io: 'input', unrepresentable: 'any' }),
        200,
        asFile('shop.schema.json'),
      ),
    )
    .openapi(bring, async (c) => {
      const all = c.req.valid('json');
      if (backups) await backUp(store.db.$client, backups, { kind: 'by-hand', now: now() });
      const brought = await store.write((tx) => bringIn(tx, all, now()));
      for (const noun of ['logbook', 'rules'] as const)
        changes.tell({ noun, id: null, rev: null, device: null });
      return c.json(brought, 200);
    });
}
