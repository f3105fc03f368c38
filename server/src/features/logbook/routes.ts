import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import {
  IdSchema,
  KeptEntrySchema,
  LoggedSchema,
  LogPageSchema,
  LogPieceSchema,
  LogQuestionSchema,
} from '@zt/core';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, Done, failures, notFound } from '../../errors';
import { findTicket } from '../tickets/reader';
import { findEntry, readLogbook } from './reader';
import { logPiece, takeBack } from './writer';

const params = z.object({ id: IdSchema });

const list = createRoute({
  method: 'get',
  path: '/',
  summary: 'A page of the logbook, the latest first',
  request: { query: LogQuestionSchema },
  responses: { 200: answers(LogPageSchema, 'Its lines'), 400: failures[400] },
});
const read = createRoute({
  method: 'get',
  path: '/{id}',
  summary: 'One entry with its frozen plan',
  request: { params },
  responses: {
    200: answers(KeptEntrySchema, 'The entry'),
    ...failures,
  },
});
const add = createRoute({
  method: 'post',
  path: '/',
  summary: 'Log a finished piece',
  request: { body: body(LogPieceSchema) },
  responses: { 201: answers(LoggedSchema, 'Logged'), ...failures },
});
const remove = createRoute({
  method: 'delete',
  path: '/{id}',
  summary: 'Take an entry back',
  request: { params },
  responses: { 200: answers(Done, 'Taken back'), ...failures },
});

export function logbookRoutes({ store, now }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => c.json(await readLogbook(store.db, c.req.valid('query')), 200))
    .openapi(read, async (c) => {
      const entry = await findEntry(store.db, c.req.valid('param').id);
      if (!entry) throw notFound('entry');
      return c.json(entry, 200);
    })
    .openapi(add, async (c) => {
      const { id, ticket } = c.req.valid('json');
      const loggedAt = now();
      const logged = await store.write(async (tx) => {
        if (!(await findTicket(tx, ticket.id)))
          throw new ApiError(404, 'not-found', 'Save the ticket before logging it: nothing was logged.');
        return logPiece(tx, { id, loggedAt, ticket });
      });
      return c.json(logged, 201);
    })
    .openapi(remove, async (c) => {
      if (!(await store.write((tx) => takeBack(tx, c.req.valid('param').id, now())))) throw notFound('entry');
      return c.json({ done: true as const }, 200);
    });
}
