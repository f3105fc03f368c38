import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { CSV_TABLES } from '@zt/core/model/csvTables';
import { BroughtInSchema, ExportedSchema } from '@zt/core/model/exported';
import { exportedCsv } from '@zt/core/paper/exported/csv';
import { exportedText, readExported } from '@zt/core/paper/exported/text';
import { backUp } from '../../backup/schedule';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, failures, refusedLines } from '../../errors';
import { readAll } from './reader';
import { bringIn } from './writer';

const text = { content: { 'application/json': { schema: ExportedSchema } }, description: 'All of it' };
const read = createRoute({
  method: 'get',
  path: '/',
  summary: 'All data of the shop as one document, a record a line',
  responses: { 200: text },
});
const schema = createRoute({
  method: 'get',
  path: '/schema',
  summary: 'The JSON schema of that document',
  responses: { 200: answers(z.record(z.string(), z.unknown()), 'The schema') },
});
const table = createRoute({
  method: 'get',
  path: '/csv/{table}',
  summary: 'One table of it as CSV',
  request: { params: z.object({ table: z.enum(CSV_TABLES) }) },
  responses: {
    200: { content: { 'text/csv': { schema: z.string() } }, description: 'The table' },
    400: failures[400],
  },
});
const bring = createRoute({
  method: 'post',
  path: '/',
  summary: 'Bring such a document in: what is not here yet; a backup is made first',
  description:
    'The document as text, as it was written: lines that were changed are refused with their numbers.',
  request: { body: { required: true, content: { 'text/plain': { schema: z.string() } } } },
  responses: { 200: answers(BroughtInSchema, 'What was brought in'), ...failures },
});

const asFile = (name: string) => ({
  'content-disposition': `attachment; filename="${name}"`,
  'cache-control': 'no-store',
});

export function exportedRoutes({ store, backups, changes, now }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) => {
      const document = exportedText(await readAll(store.db));
      return c.body(document, 200, { 'content-type': 'application/json', ...asFile('shop.json') }) as never;
    })
    .openapi(schema, (c) =>
      c.json(
        z.toJSONSchema(ExportedSchema.extend({ lines: z.array(z.string()) }), {
          io: 'input',
          unrepresentable: 'any',
        }),
        200,
        asFile('shop.schema.json'),
      ),
    )
    .openapi(table, async (c) => {
      const { table: name } = c.req.valid('param');
      const csv = exportedCsv(await readAll(store.db), name);
      return c.body(csv, 200, {
        'content-type': 'text/csv; charset=utf-8',
        ...asFile(`${name}.csv`),
      }) as never;
    })
    .openapi(bring, async (c) => {
      const document = readExported(await c.req.text());
      if (!document.ok) throw refusedLines('Nothing was brought in.', document.refusals);
      if (backups) await backUp(store.db.$client, backups, { kind: 'by-hand', now: now() });
      const brought = await store.write((tx) => bringIn(tx, document.all, now()));
      for (const noun of ['logbook', 'rules'] as const)
        changes.tell({ noun, id: null, rev: null, device: null });
      return c.json(brought, 200);
    });
}
