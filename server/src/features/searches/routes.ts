import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { IdSchema } from '@zt/core/base/ids';
import { SavedSearchSchema } from '@zt/core/model/api';
import { count, eq } from 'drizzle-orm';
import type { Context } from '../../context';
import { searches } from '../../db/schema/searches';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, Done, failures, notFound } from '../../errors';
import { readSearches } from './reader';

const params = z.object({ id: IdSchema });
/** So many searches are kept. */
const MOST_SEARCHES = 60;

const list = createRoute({
  method: 'get',
  path: '/',
  summary: 'The searches of the logbook that are kept',
  responses: { 200: answers(SavedSearchSchema.array(), 'By name') },
});
const keep = createRoute({
  method: 'put',
  path: '/{id}',
  summary: 'Keep a search of the logbook under a name',
  request: { params, body: body(SavedSearchSchema) },
  responses: { 200: answers(Done, 'Kept'), ...failures },
});
const remove = createRoute({
  method: 'delete',
  path: '/{id}',
  summary: 'Keep a search no longer; sent once more, it is kept again',
  request: { params },
  responses: { 200: answers(Done, 'Gone'), ...failures },
});

export function searchesRoutes({ store }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => c.json(await readSearches(store.db), 200))
    .openapi(keep, async (c) => {
      const search = { ...c.req.valid('json'), id: c.req.valid('param').id };
      await store.write(async (tx) => {
        const [kept] = await tx.select({ n: count() }).from(searches);
        const known = await tx.select({ id: searches.id }).from(searches).where(eq(searches.id, search.id));
        if (known.length === 0 && (kept?.n ?? 0) >= MOST_SEARCHES)
          throw new ApiError(409, 'full', `${MOST_SEARCHES} searches are kept: take one off first.`);
        await tx.insert(searches).values(search).onConflictDoUpdate({ target: searches.id, set: search });
      });
      return c.json({ done: true as const }, 200);
    })
    .openapi(remove, async (c) => {
      const gone = await store.write((tx) =>
        tx
          .delete(searches)
          .where(eq(searches.id, c.req.valid('param').id))
          .returning({ id: searches.id }),
      );
      if (gone.length === 0) throw notFound('search');
      return c.json({ done: true as const }, 200);
    });
}
