import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { KEPT_PHOTO, PhotoIdSchema } from '@zt/core/model/photo';
import { photoIdOf } from '@zt/core/model/photoId';
import { whyNotKept } from '@zt/core/records/photos/look';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, failures, notFound } from '../../errors';

const params = z.object({ id: PhotoIdSchema });
const read = createRoute({
  method: 'get',
  path: '/{id}',
  summary: 'A photo of a piece',
  request: { params },
  responses: {
    200: { content: { 'image/jpeg': { schema: z.string() } }, description: 'The photo' },
    ...failures,
  },
});
const keep = createRoute({
  method: 'put',
  path: '/{id}',
  summary: 'Keep a photo, once, under the SHA-256 of its bytes',
  description: `A JPEG of at most ${KEPT_PHOTO.px} px and ${KEPT_PHOTO.bytes / 1_000_000} MB that says nothing of place, time or device.`,
  request: { params, body: { required: true, content: { 'image/jpeg': { schema: z.string() } } } },
  responses: { 200: answers(z.object({ id: PhotoIdSchema }), 'It is kept'), ...failures },
});

/** Photos of pieces; what is kept under a name never changes. */
export function photoRoutes({ photos }: Pick<Context, 'photos'>) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) => {
      const bytes = await photos.get(c.req.valid('param').id);
      if (!bytes) throw notFound('photo');
      return c.body(new Uint8Array(bytes).buffer as ArrayBuffer, 200, {
        'content-type': 'image/jpeg',
        'x-content-type-options': 'nosniff',
        'content-disposition': 'inline',
        'cache-control': 'private, max-age=31536000, immutable',
      }) as never;
    })
    .openapi(keep, async (c) => {
      const { id } = c.req.valid('param');
      const bytes = new Uint8Array(await c.req.arrayBuffer());
      const why = whyNotKept(bytes);
      if (why) throw new ApiError(400, 'no-photo', `${why} Nothing was kept.`);
      if (photoIdOf(bytes) !== id)
        throw new ApiError(400, 'not-the-photo', 'This is not the photo of that name. Nothing was kept.');
      await photos.put(id, bytes);
      return c.json({ id }, 200);
    });
}
