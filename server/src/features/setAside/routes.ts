import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { SET_ASIDE_PLACES, SetAsideSchema } from '@zt/core/model/api';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, Done, failures, notFound } from '../../errors';
import { PLACES } from './places';
import { readSetAside } from './reader';

/** What there is one of in a shop has an id that is shorter than others. */
const params = z.object({ place: z.enum(SET_ASIDE_PLACES), id: z.string().min(1).max(64) });

const list = createRoute({
  method: 'get',
  path: '/',
  summary: 'What is kept and cannot be read',
  responses: { 200: answers(z.array(SetAsideSchema), 'Each row, with why') },
});
const mend = createRoute({
  method: 'post',
  path: '/{place}/{id}/mend',
  summary: 'Make a row readable; what was past its bounds stays as unread text',
  request: { params },
  responses: { 200: answers(Done, 'Mended'), ...failures },
});
const remove = createRoute({
  method: 'delete',
  path: '/{place}/{id}',
  summary: 'Take a row that cannot be read out of sight',
  request: { params },
  responses: { 200: answers(Done, 'Taken away'), ...failures },
});
const restore = createRoute({
  method: 'post',
  path: '/{place}/{id}/restore',
  summary: 'Put a row back that was taken out of sight',
  request: { params },
  responses: { 200: answers(Done, 'Put back'), ...failures },
});

export function setAsideRoutes({ store, now }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => c.json(await readSetAside(store.db), 200))
    .openapi(mend, async (c) => {
      const { place, id } = c.req.valid('param');
      if (!(await store.write((tx) => PLACES[place].mend(tx, { id, now: now() }))))
        throw new ApiError(400, 'not-mended', 'It cannot be mended here. It is kept as it is.');
      return c.json({ done: true as const }, 200);
    })
    .openapi(remove, async (c) => {
      const { place, id } = c.req.valid('param');
      if (!(await store.write((tx) => PLACES[place].mark(tx, id, now())))) throw notFound('row');
      return c.json({ done: true as const }, 200);
    })
    .openapi(restore, async (c) => {
      const { place, id } = c.req.valid('param');
      if (!(await store.write((tx) => PLACES[place].mark(tx, id, null)))) throw notFound('row');
      return c.json({ done: true as const }, 200);
    });
}
