import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { DrillCardSchema } from '@zt/core/model/drillCard';
import { asc, count, eq } from 'drizzle-orm';
import type { Context } from '../../context';
import { drillCards } from '../../db/schema/drillCards';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, Done, failures } from '../../errors';

/** So many topics are kept. */
const MOST_CARDS = 2000;

const list = createRoute({
  method: 'get',
  path: '/',
  summary: 'How far each topic of the drills is learned',
  responses: { 200: answers(DrillCardSchema.array(), 'By topic') },
});
const keep = createRoute({
  method: 'put',
  path: '/{key}',
  summary: 'Keep how far a topic is learned',
  request: { params: z.object({ key: DrillCardSchema.shape.key }), body: body(DrillCardSchema) },
  responses: { 200: answers(Done, 'Kept'), ...failures },
});

export function drillRoutes({ store }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => {
      const rows = await store.db.select().from(drillCards).orderBy(asc(drillCards.key));
      // One that cannot be read is begun anew.
      return c.json(
        rows.flatMap(({ card }) => DrillCardSchema.safeParse(card).data ?? []),
        200,
      );
    })
    .openapi(keep, async (c) => {
      const { key } = c.req.valid('param');
      const card = { ...c.req.valid('json'), key };
      await store.write(async (tx) => {
        const known = await tx
          .select({ key: drillCards.key })
          .from(drillCards)
          .where(eq(drillCards.key, key));
        const [kept] = await tx.select({ n: count() }).from(drillCards);
        if (known.length === 0 && (kept?.n ?? 0) >= MOST_CARDS)
          throw new ApiError(409, 'full', 'No further topic can be kept.');
        await tx
          .insert(drillCards)
          .values({ key, card })
          .onConflictDoUpdate({ target: drillCards.key, set: { card } });
      });
      return c.json({ done: true as const }, 200);
    });
}
