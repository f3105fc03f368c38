import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { IdSchema } from '@zt/core/base/ids';
import { MovementsSchema, ShelfChangedSchema, ShelfChangesSchema } from '@zt/core/model/api';
import { ShelfSchema } from '@zt/core/model/shelf';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, failures } from '../../errors';
import { movementsOf } from './ledger';
import { readShelf } from './reader';
import { changeShelf } from './writer';

const read = createRoute({
  method: 'get',
  path: '/',
  summary: 'What the shop owns',
  responses: { 200: answers(ShelfSchema, 'The shelf') },
});
const change = createRoute({
  method: 'post',
  path: '/',
  summary: 'Put items on the shelf, change them, take them off: all of it, or none',
  request: { body: body(ShelfChangesSchema) },
  responses: { 200: answers(ShelfChangedSchema, 'All changed'), ...failures },
});
const ledger = createRoute({
  method: 'get',
  path: '/{id}/movements',
  summary: 'What came and went of an item, the latest first',
  request: { params: z.object({ id: IdSchema }) },
  responses: { 200: answers(MovementsSchema, 'Its movements'), 400: failures[400] },
});

export function shelfRoutes({ store, now }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) => c.json(await readShelf(store.db), 200))
    .openapi(ledger, async (c) => c.json(await movementsOf(store.db, c.req.valid('param').id), 200))
    .openapi(change, async (c) => {
      const changes = c.req.valid('json');
      if (changes.remove.length > 0 && c.get('asker').role === 'helper')
        throw new ApiError(403, 'owners-only', 'Only an owner’s device takes things off the shelf.');
      const put = await store.write((tx) => changeShelf(tx, changes, now()));
      return c.json({ put }, 200);
    });
}
