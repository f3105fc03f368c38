import { createRoute, OpenAPIHono } from '@hono/zod-openapi';
import { SaveRulesSchema } from '@zt/core/model/api';
import { HouseRulesSchema } from '@zt/core/model/houseRules';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, body, failures } from '../../errors';
import { readRules } from './reader';
import { saveRules } from './writer';

const read = createRoute({
  method: 'get',
  path: '/',
  summary: 'The house rules',
  responses: { 200: answers(HouseRulesSchema, 'The rules') },
});
const save = createRoute({
  method: 'put',
  path: '/',
  summary: 'Save the house rules; put together with later saves if it is said what they were made from',
  request: { body: body(SaveRulesSchema) },
  responses: { 200: answers(HouseRulesSchema, 'As saved'), 400: failures[400] },
});

export function rulesRoutes({ store, now }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) => c.json(await readRules(store.db), 200))
    .openapi(save, async (c) => {
      const save = c.req.valid('json');
      return c.json(await store.write((tx) => saveRules(tx, save, now())), 200);
    });
}
