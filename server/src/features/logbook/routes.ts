import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { IdSchema } from '@zt/core/base/ids';
import {
  KeptEntrySchema,
  LoggedSchema,
  LogPageSchema,
  LogPieceSchema,
  LogQuestionSchema,
  TicketQuestionSchema,
} from '@zt/core/model/api';
import { CARD_PAPER_IDS } from '@zt/core/paper/index';
import { AdviceSchema, adviceFor } from '@zt/core/records/evidence/advice';
import { PicturesSchema, picturesOf } from '@zt/core/records/pictures/pictures';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, Done, failures, notFound } from '../../errors';
import { asFile, PDF } from '../../http/asFile';
import { PAGE } from '../paging';
import { readRules } from '../rules/reader';
import { readShelf } from '../shelf/reader';
import { planKept } from '../shop';
import { findTicket } from '../tickets/reader';
import { entryToPdf } from './entryToPdf';
import type { LogMemory } from './memory';
import { findEntry, readLines } from './reader';
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

const advise = createRoute({
  method: 'post',
  path: '/advice',
  summary:
    'What past pieces say of a ticket: those like it, and what may go wrong with every stack of the shelf',
  request: { body: body(TicketQuestionSchema) },
  responses: {
    200: answers(AdviceSchema.nullable(), 'What they say; null while it has no layers'),
    ...failures,
  },
});

const draw = createRoute({
  method: 'get',
  path: '/pictures',
  summary: 'What the logbook shows of itself, of the entries that agree with a filter',
  request: { query: LogQuestionSchema },
  responses: { 200: answers(PicturesSchema, 'The figures that are drawn'), 400: failures[400] },
});

const print = createRoute({
  method: 'get',
  path: '/{id}/entry.pdf',
  summary: 'An entry on paper, with its first photos',
  request: { params, query: z.object({ paper: z.enum(CARD_PAPER_IDS).default('a4') }) },
  responses: {
    200: { description: 'The pages', content: { 'application/pdf': { schema: z.string() } } },
    ...failures,
  },
});

export function logbookRoutes({ store, photos, now }: Context, memory: LogMemory) {
  return new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => {
      const { after, ...question } = c.req.valid('query');
      const page = { size: PAGE, ...(after ? { key: after } : {}) };
      const { fabrics } = await readShelf(store.db);
      const { ids, outcomes: counts, facets, next } = await memory.find(question, page, fabrics);
      return c.json({ entries: await readLines(store.db, ids), counts, facets, next }, 200);
    })
    .openapi(advise, async (c) => {
      const asked = await planKept(store.db, c.req.valid('json'));
      return c.json(adviceFor(asked, await memory.learned(asked.rules)), 200);
    })
    .openapi(draw, async (c) => {
      const entries = await memory.agreeing(c.req.valid('query'));
      return c.json(picturesOf(entries, await readRules(store.db)), 200);
    })
    .openapi(print, async (c) => {
      const entry = await findEntry(store.db, c.req.valid('param').id);
      if (!entry) throw notFound('entry');
      const { paper } = c.req.valid('query');
      const pdf = await entryToPdf(entry, { paper, photos, units: (await readRules(store.db)).units });
      return asFile(pdf, PDF, 'entry.pdf');
    })
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
