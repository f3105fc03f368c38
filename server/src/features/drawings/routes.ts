import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { DrawingIdSchema, KeptDrawingSchema } from '@zt/core/model/drawing';
import { isTheDrawing } from '@zt/core/model/drawingId';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, failures, notFound } from '../../errors';
import { findDrawing } from './reader';
import { keepDrawing } from './writer';

const params = z.object({ id: DrawingIdSchema });
const read = createRoute({
  method: 'get',
  path: '/{id}',
  summary: 'A drawing as its file has it',
  request: { params },
  responses: { 200: answers(KeptDrawingSchema, 'The drawing'), ...failures },
});
const keep = createRoute({
  method: 'put',
  path: '/{id}',
  summary: 'Keep a drawing, once, under the SHA-256 of its text',
  request: { params, body: body(KeptDrawingSchema.pick({ text: true })) },
  responses: { 200: answers(KeptDrawingSchema.pick({ id: true }), 'It is kept'), ...failures },
});

/** Drawings that designs were read from; what is kept under an id never changes. */
export function drawingRoutes({ store, now }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) => {
      const { id } = c.req.valid('param');
      const kept = await findDrawing(store.db, id);
      if (!kept) throw notFound('drawing');
      return c.json(kept, 200, {
        'cache-control': 'private, max-age=31536000, immutable',
      });
    })
    .openapi(keep, async (c) => {
      const { id } = c.req.valid('param');
      const { text } = c.req.valid('json');
      if (!isTheDrawing({ id, text }))
        throw new ApiError(400, 'not-the-drawing', 'This is not the drawing of that id. Nothing was kept.');
      await store.write((tx) => keepDrawing(tx, { id, text }, now()));
      return c.json({ id }, 200);
    });
}
