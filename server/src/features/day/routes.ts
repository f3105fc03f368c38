import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { DayAnswerSchema, DaySheetSchema, SaveDaySchema } from '@zt/core/model/day';
import { CARD_PAPER_IDS } from '@zt/core/paper/index';
import { spoiltAmong } from '@zt/core/records/evidence/advice';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, body, failures } from '../../errors';
import { asFile, CSV, PDF } from '../../http/asFile';
import type { LogMemory } from '../logbook/memory';
import { readRules } from '../rules/reader';
import { buyingToCsv, cutToPdf } from './buying';
import { readDay } from './reader';
import { saveDay } from './writer';

const read = createRoute({
  method: 'get',
  path: '/',
  summary: 'What people say of the work that is planned, with the tickets that are due first',
  responses: { 200: answers(DayAnswerSchema, 'The sheet and its tickets') },
});
const save = createRoute({
  method: 'put',
  path: '/',
  summary: 'Save the day’s sheet; put together with later saves if it is said what it was made from',
  request: { body: body(SaveDaySchema) },
  responses: { 200: answers(DaySheetSchema, 'As saved'), 400: failures[400] },
});

const cutting = createRoute({
  method: 'get',
  path: '/cutting.pdf',
  summary: 'How the sheets of the tickets that are due first are cut, drawn with numbers',
  request: { query: z.object({ paper: z.enum(CARD_PAPER_IDS).default('a4') }) },
  responses: {
    200: { description: 'The pages', content: { 'application/pdf': { schema: z.string() } } },
    400: failures[400],
    409: failures[409],
  },
});

const buying = createRoute({
  method: 'get',
  path: '/shopping.csv',
  summary: 'What to buy for the whole bench, by supplier, with its bare pieces',
  responses: { 200: { description: 'The table', content: { 'text/csv': { schema: z.string() } } } },
});

export function dayRoutes({ store, now }: Context, memory: LogMemory) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) => {
      const { pieces } = await memory.learned(await readRules(store.db));
      return c.json({ ...(await readDay(store.db)), spoilt: spoiltAmong(pieces.records) }, 200);
    })
    .openapi(cutting, async (c) => {
      const pages = await cutToPdf(store.db, c.req.valid('query').paper, memory);
      return asFile(pages, PDF, 'cut-plan.pdf');
    })
    .openapi(buying, async () => asFile(await buyingToCsv(store.db, memory), CSV, 'shopping-list.csv'))
    .openapi(save, async (c) => {
      const asked = c.req.valid('json');
      return c.json(await store.write((tx) => saveDay(tx, asked, now())), 200);
    });
}
