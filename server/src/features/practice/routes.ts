import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { LayPracticeSchema, OnPracticeSchema } from '@zt/core/model/api';
import {
  PracticeAnswerSchema,
  type PracticeCommand,
  PracticeCommandSchema,
  practiceJob,
} from '@zt/core/table/practice/index';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, ErrorSchema, failures } from '../../errors';
import { planKept } from '../shop';
import { stitchesOf } from '../stitches';
import { createBeds } from './bed';

const RunSchema = z.uuid();

const load = createRoute({
  method: 'put',
  path: '/',
  summary: 'Lay a ticket on the practice machine',
  description:
    'A ticket, or the id of one; the piece hooped as planned, or as `lie` has it. Each run has a bed of its own, named by `run`. The machine starts with its power on, no hoop on the carriage, the design centred and upright.',
  request: { body: body(LayPracticeSchema) },
  responses: { 200: answers(OnPracticeSchema, 'What lies on it, and how it stands'), ...failures },
});
const read = createRoute({
  method: 'get',
  path: '/{run}',
  summary: 'How a run on the practice machine stands',
  request: { params: z.object({ run: RunSchema }) },
  responses: { 200: answers(OnPracticeSchema, 'What lies on it, and how it stands'), ...failures },
});
const press = createRoute({
  method: 'post',
  path: '/press',
  summary: 'Press something on the practice machine',
  description:
    'Always answered with how the machine stands afterwards. A press it does not follow comes back with `ok: false`, a code and the reason; the machine is then as it was.',
  request: { body: body(z.intersection(z.object({ run: RunSchema }), PracticeCommandSchema)) },
  responses: {
    200: answers(PracticeAnswerSchema, 'What it said, and how it stands'),
    404: answers(ErrorSchema, 'Nothing lies on it'),
    400: failures[400],
  },
});

const nothingOnIt = () =>
  new ApiError(404, 'not-found', 'This run is not on the practice machine: lay the ticket on it again.');

/** The practice machine's own small interface, the same for the screen, for tests and for scripts. */
export function practiceRoutes({ store }: Context) {
  const beds = createBeds(() => crypto.randomUUID());
  return new OpenAPIHono({ defaultHook })
    .openapi(load, async (c) => {
      const asked = c.req.valid('json');
      const { ticket, plan, ...shop } = await planKept(store.db, asked);
      const { lie } = asked;
      const bare = practiceJob(ticket, plan, shop, { lie });
      if (!bare)
        throw new ApiError(
          400,
          'not-planned',
          'The plan has no hoop and machine yet: nothing to practise on.',
        );
      const stitches = await stitchesOf(ticket, plan, shop.rules);
      const job = stitches && practiceJob(ticket, plan, shop, { lie, stitches });
      return c.json(beds.lay(job ?? bare), 200);
    })
    .openapi(read, (c) => {
      const laid = beds.laid(c.req.valid('param').run);
      if (!laid) throw nothingOnIt();
      return c.json(laid, 200);
    })
    .openapi(press, (c) => {
      const { run, ...command } = c.req.valid('json');
      const answer = beds.press(run, command as PracticeCommand);
      if (!answer) throw nothingOnIt();
      return c.json(answer, 200);
    });
}
