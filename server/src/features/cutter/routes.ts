import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { say } from '@zt/core/base/units/phrase';
import { CutterFileSchema, CutterPressSchema, type OnCutter, OnCutterSchema } from '@zt/core/model/cutter';
import { cutMore, cutterSays, layOnMat, NOTHING_CUT } from '@zt/core/table/cutter/cutter';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, failures } from '../../errors';
import { createRuns } from '../runs';

const load = createRoute({
  method: 'put',
  path: '/',
  summary: 'Lay a cut file on the cutter',
  description:
    'An SVG of closed lines at true size, mm. Refused, with the path at fault, where it cannot be cut or is larger than the mat. Each run has a mat of its own, named by `run`.',
  request: { body: body(CutterFileSchema) },
  responses: { 200: answers(OnCutterSchema, 'What lies on the mat'), ...failures },
});
const read = createRoute({
  method: 'get',
  path: '/{run}',
  summary: 'How far a sheet on the cutter is cut',
  request: { params: z.object({ run: z.uuid() }) },
  responses: { 200: answers(OnCutterSchema, 'What lies on the mat, and how far it is cut'), ...failures },
});
const press = createRoute({
  method: 'post',
  path: '/press',
  summary: 'Cut some pieces more, in the order of the file',
  request: { body: body(z.intersection(z.object({ run: z.uuid() }), CutterPressSchema)) },
  responses: { 200: answers(OnCutterSchema, 'What lies on the mat, and how far it is cut'), ...failures },
});

const nothingOnIt = () =>
  new ApiError(404, 'not-found', 'This run is not on the cutter: lay the file on it again.');

const MM = { system: 'mm' } as const;

/** The cutter's own small interface, the same for the screen, for tests and for scripts: a stand-in. */
export function cutterRoutes() {
  const mats = createRuns<OnCutter>();
  return new OpenAPIHono({ defaultHook })
    .openapi(load, (c) => {
      const laid = layOnMat(c.req.valid('json').file);
      if (!laid.ok) throw new ApiError(400, laid.code, say(laid.message, MM));
      const { job } = laid;
      const message = say(cutterSays(job, NOTHING_CUT), MM);
      return c.json(mats.put({ run: crypto.randomUUID(), job, state: NOTHING_CUT, message }), 200);
    })
    .openapi(read, (c) => {
      const laid = mats.get(c.req.valid('param').run);
      if (!laid) throw nothingOnIt();
      return c.json(laid, 200);
    })
    .openapi(press, (c) => {
      const { run, pieces } = c.req.valid('json');
      const laid = mats.get(run);
      if (!laid) throw nothingOnIt();
      const state = cutMore(laid.job, laid.state, pieces);
      return c.json(mats.put({ ...laid, state, message: say(cutterSays(laid.job, state), MM) }), 200);
    });
}
