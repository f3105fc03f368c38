import { createRoute, OpenAPIHono } from '@hono/zod-openapi';
import { HouseRulesSchema } from '@zt/core';
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
  summary: 'Save the house rules',
  request: { body: body(HouseRulesSchema) },
  responses: { 200: answers(HouseRulesSchema, 'As saved'), 400: failures[400] },
});

export function rulesRoutes({ store }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) => c.json(await readRules(store.db), 200))
    .openapi(save, async (c) => {
      const rules = c.req.valid('json');
      await store.write((tx) => saveRules(tx, rules));
      return c.json(rules, 200);
    });
}
