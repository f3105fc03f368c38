import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { IdSchema, SHELF_ITEMS, SHELF_NOUNS, ShelfBatchSchema, type ShelfNoun, ShelfSchema } from '@zt/core';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, Done, failures, notFound } from '../../errors';
import { applyBatch } from './batch';
import { readShelf } from './reader';
import { checkRoom, markItem, putItem } from './writer';

const params = z.object({ id: IdSchema });

const read = createRoute({
  method: 'get',
  path: '/',
  summary: 'What the shop owns',
  responses: { 200: answers(ShelfSchema, 'The shelf') },
});
const putRoute = (noun: ShelfNoun) =>
  createRoute({
    method: 'put',
    path: `/${noun}/{id}`,
    summary: `Put one of the ${noun} on the shelf, or change it`,
    request: { params, body: body(SHELF_ITEMS[noun]) },
    responses: { 200: answers(Done, 'On the shelf'), ...failures },
  });
const remove = createRoute({
  method: 'delete',
  path: '/{noun}/{id}',
  summary: 'Take an item off the shelf',
  request: { params: params.extend({ noun: z.enum(SHELF_NOUNS) }) },
  responses: { 200: answers(Done, 'Taken off'), ...failures },
});

const batch = createRoute({
  method: 'post',
  path: '/batch',
  summary: 'Change many items of the shelf at once: all of them, or none',
  request: { body: body(ShelfBatchSchema) },
  responses: { 200: answers(Done, 'All changed'), ...failures },
});

export function shelfRoutes({ store, now }: Context) {
  const app = new OpenAPIHono({ defaultHook }).openapi(read, async (c) =>
    c.json(await readShelf(store.db), 200),
  );
  for (const noun of SHELF_NOUNS) {
    app.openapi(putRoute(noun), async (c) => {
      const item = c.req.valid('json');
      if (item.id !== c.req.valid('param').id)
        throw new ApiError(400, 'wrong-id', 'The address and the item name different ids.');
      await store.write(async (tx) => {
        await putItem(tx, noun, item);
        await checkRoom(tx, noun);
      });
      return c.json({ done: true as const }, 200);
    });
  }
  app.openapi(batch, async (c) => {
    const changes = c.req.valid('json');
    await store.write((tx) => applyBatch(tx, changes, now()));
    return c.json({ done: true as const }, 200);
  });
  return app.openapi(remove, async (c) => {
    if (!(await store.write((tx) => markItem(tx, c.req.valid('param'), now())))) throw notFound('item');
    return c.json({ done: true as const }, 200);
  });
}
