import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { weeksToCsv } from '@zt/core/business/weeks/toCsv';
import { MOST_WEEKS, WeeksAnswerSchema } from '@zt/core/model/weeks';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, failures } from '../../errors';
import { asFile, CSV } from '../../http/asFile';
import { readRules } from '../rules/reader';
import { readWeeks } from './reader';

const query = z.object({ weeks: z.coerce.number().int().min(1).max(MOST_WEEKS).default(12) });

const read = createRoute({
  method: 'get',
  path: '/',
  summary: 'How the shop did week by week: pieces, minutes, margins, and the numbers it changed most',
  request: { query },
  responses: { 200: answers(WeeksAnswerSchema, 'The weeks, the latest last'), 400: failures[400] },
});
const table = createRoute({
  method: 'get',
  path: '/weeks.csv',
  summary: 'The same weeks as a table',
  request: { query },
  responses: {
    200: { description: 'The table', content: { 'text/csv': { schema: z.string() } } },
    400: failures[400],
  },
});

export function weeksRoutes({ store, now }: Context) {
  return new OpenAPIHono({ defaultHook })
    .openapi(read, async (c) =>
      c.json(await readWeeks(store.db, { ...c.req.valid('query'), now: now() }), 200),
    )
    .openapi(table, async (c) => {
      const { weeks } = await readWeeks(store.db, { ...c.req.valid('query'), now: now() });
      const { currency } = await readRules(store.db);
      return asFile(weeksToCsv(weeks, currency), CSV, 'weeks.csv');
    });
}
