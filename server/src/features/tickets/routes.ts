import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { IdSchema } from '@zt/core/base/ids';
import {
  BenchPageSchema,
  BenchQuestionSchema,
  KeptTicketSchema,
  SavedTicketSchema,
  SaveTicketSchema,
} from '@zt/core/model/api';
import isEqual from 'fast-deep-equal';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, body, Done, ErrorSchema, failures, notFound } from '../../errors';
import { findTicket, readBench } from './reader';
import { markDeleted, saveTicket } from './writer';

const params = z.object({ id: IdSchema });

const list = createRoute({
  method: 'get',
  path: '/',
  summary: 'A page of the bench, soonest due first',
  request: { query: BenchQuestionSchema },
  responses: { 200: answers(BenchPageSchema, 'The tickets'), 400: failures[400] },
});
const read = createRoute({
  method: 'get',
  path: '/{id}',
  summary: 'One ticket',
  request: { params },
  responses: { 200: answers(KeptTicketSchema, 'The ticket'), ...failures },
});
const save = createRoute({
  method: 'put',
  path: '/{id}',
  summary:
    'Save a ticket over the revision it was read at (0 for a new one); put together with later saves if its base is given',
  request: { params, body: body(SaveTicketSchema) },
  responses: {
    200: answers(SavedTicketSchema, 'Saved'),
    ...failures,
    409: answers(ErrorSchema.extend({ rev: z.number().int() }), 'Another save came between'),
  },
});
const remove = createRoute({
  method: 'delete',
  path: '/{id}',
  summary: 'Take a ticket off the bench',
  request: { params },
  responses: { 200: answers(Done, 'Taken off'), ...failures },
});
const restore = createRoute({
  method: 'post',
  path: '/{id}/restore',
  summary: 'Put a ticket back on the bench',
  request: { params },
  responses: { 200: answers(Done, 'Put back'), ...failures },
});

export function ticketRoutes({ store, now, changes }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => c.json(await readBench(store.db, c.req.valid('query')), 200))
    .openapi(read, async (c) => {
      const kept = await findTicket(store.db, c.req.valid('param').id);
      if (!kept) throw notFound('ticket');
      return c.json(kept, 200);
    })
    .openapi(save, async (c) => {
      const save = c.req.valid('json');
      const { ticket } = save;
      const id = c.req.valid('param').id;
      if (ticket.id !== id) {
        return c.json(
          { code: 'wrong-id', message: `The address says ${id}, the ticket says ${ticket.id}.` },
          400,
        );
      }
      const result = await store.write((tx) => saveTicket(tx, save, now()));
      if (result.ok) {
        const { rev, onBench } = result;
        changes.tell({ noun: 'ticket', id, rev, device: save.sending?.device ?? null });
        return c.json(
          { rev, onBench, ...(isEqual(result.ticket, ticket) ? {} : { ticket: result.ticket }) },
          200,
        );
      }
      const message = 'This ticket was changed somewhere else. Nothing was overwritten; load it again.';
      return c.json({ code: result.code, message, rev: result.rev }, 409);
    })
    .openapi(remove, async (c) => {
      if (!(await store.write((tx) => markDeleted(tx, c.req.valid('param').id, now()))))
        throw notFound('ticket');
      changes.tell({ noun: 'ticket', id: c.req.valid('param').id, rev: null, device: null });
      return c.json({ done: true as const }, 200);
    })
    .openapi(restore, async (c) => {
      if (!(await store.write((tx) => markDeleted(tx, c.req.valid('param').id, null))))
        throw notFound('ticket');
      changes.tell({ noun: 'ticket', id: c.req.valid('param').id, rev: null, device: null });
      return c.json({ done: true as const }, 200);
    });
}
