import { createRoute, OpenAPIHono } from '@hono/zod-openapi';
import { DayAnswerSchema, DaySheetSchema, SaveDaySchema } from '@zt/core/model/day';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, body, failures } from '../../errors';
import { readDay } from './reader';
import { saveDay } from './writer';

const read = createRoute({
  method: 'get',
  path: '/',
  summary: 'What people say of the work that is planned, with the tickets that are due first',
  responses: { 200: answers(DayAnswerSchema, 'The sheet and its tickets') },
});
const save = createRoute({
  method: 'put',
  path: '/',
  summary: 'Save the day’s sheet; put together with later saves if it is said what it was made from',
  request: { body: body(SaveDaySchema) },
  responses: { 200: answers(DaySheetSchema, 'As saved'), 400: failures[400] },
});

export function dayRoutes({ store, now }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) => c.json(await readDay(store.db), 200))
    .openapi(save, async (c) => {
      const asked = c.req.valid('json');
      return c.json(await store.write((tx) => saveDay(tx, asked, now())), 200);
    });
}
