import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { IdSchema } from '@zt/core/base/ids';
import { EarlierSchema, EarlierStateSchema, HISTORY_NOUNS } from '@zt/core/model/history';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, failures, notFound } from '../../errors';
import { findEarlier, listEarlier } from './reader';

const list = createRoute({
  method: 'get',
  path: '/{noun}/{id}',
  summary: 'How a ticket, an item or the house rules (id: shop) were earlier, the latest first',
  request: { params: z.object({ noun: z.enum(HISTORY_NOUNS), id: IdSchema.or(z.literal('shop')) }) },
  responses: { 200: answers(z.array(EarlierSchema), 'The states that are kept'), 400: failures[400] },
});
const read = createRoute({
  method: 'get',
  path: '/{id}',
  summary: 'One earlier state, with all that was in it',
  request: { params: z.object({ id: IdSchema }) },
  responses: { 200: answers(EarlierStateSchema, 'The state'), ...failures },
});

export function historyRoutes({ store }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => {
      const { noun, id } = c.req.valid('param');
      return c.json(await listEarlier(store.db, noun, id), 200);
    })
    .openapi(read, async (c) => {
      const state = await findEarlier(store.db, c.req.valid('param').id);
      if (!state) throw notFound('earlier state');
      return c.json(state, 200);
    });
}
