import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import { IdSchema } from '@zt/core/base/ids';
import { OrderCostSchema } from '@zt/core/business/cost/orderCost';
import { OrderSchema } from '@zt/core/model/order';
import {
  OrderDetailSchema,
  OrdersPageSchema,
  OrdersQuestionSchema,
  SaveOrderSchema,
} from '@zt/core/model/ordersApi';
import { CARD_PAPER_IDS, type CardPaperId } from '@zt/core/paper/index';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { ApiError, answers, body, Done, failures, notFound } from '../../errors';
import { asFile, PDF } from '../../http/asFile';
import type { LogMemory } from '../logbook/memory';
import { costOfOrder } from './cost';
import { readOrder, readOrders } from './reader';
import { orderToPdf } from './toPdf';
import { markOrder, saveOrder } from './writer';

const params = z.object({ id: IdSchema });

const list = createRoute({
  method: 'get',
  path: '/',
  summary: 'A page of the order book, soonest due first',
  request: { query: OrdersQuestionSchema },
  responses: { 200: answers(OrdersPageSchema, 'The orders'), 400: failures[400] },
});
const read = createRoute({
  method: 'get',
  path: '/{id}',
  summary: 'One order with its customer and its tickets',
  request: { params },
  responses: { 200: answers(OrderDetailSchema, 'The order'), ...failures },
});
const save = createRoute({
  method: 'put',
  path: '/{id}',
  summary: 'Save an order; put together with later saves if it is said what it was made from',
  request: { params, body: body(SaveOrderSchema) },
  responses: { 200: answers(OrderSchema, 'As saved'), ...failures },
});
const remove = createRoute({
  method: 'delete',
  path: '/{id}',
  summary: 'Take an order off the book; its tickets stay',
  request: { params },
  responses: { 200: answers(Done, 'Taken off'), ...failures },
});
const restore = createRoute({
  method: 'post',
  path: '/{id}/restore',
  summary: 'Put an order back on the book',
  request: { params },
  responses: { 200: answers(Done, 'Put back'), ...failures },
});

const cost = createRoute({
  method: 'get',
  path: '/{id}/cost',
  summary: 'What an order costs with all its tickets, line by line',
  request: { params },
  responses: { 200: answers(OrderCostSchema, 'What it costs'), ...failures },
});
const printed = (kind: 'quote' | 'receipt') =>
  createRoute({
    method: 'get',
    path: `/{id}/${kind}.pdf`,
    summary: `A ${kind} under the shop’s own heading`,
    request: { params, query: z.object({ paper: z.enum(CARD_PAPER_IDS).default('a4') }) },
    responses: {
      200: { description: 'The pages', content: { 'application/pdf': { schema: z.string() } } },
      ...failures,
    },
  });

export function orderRoutes({ store, now }: Context, memory: LogMemory) {
  const print = async (kind: 'quote' | 'receipt', id: string, paper: CardPaperId) =>
    asFile(await orderToPdf(store.db, id, { kind, paper, today: now().slice(0, 10) }), PDF, `${kind}.pdf`);
  const mark = async (id: string, deletedAt: string | null) => {
    if (!(await store.write((tx) => markOrder(tx, id, deletedAt)))) throw notFound('order');
    return { done: true as const };
  };
  return new OpenAPIHono({ defaultHook })
    .openapi(list, async (c) => c.json(await readOrders(store.db, c.req.valid('query')), 200))
    .openapi(read, async (c) => {
      const found = await readOrder(store.db, c.req.valid('param').id);
      if (!found) throw notFound('order');
      return c.json(found, 200);
    })
    .openapi(save, async (c) => {
      const [asked, { id }] = [c.req.valid('json'), c.req.valid('param')];
      if (asked.order.id !== id)
        throw new ApiError(400, 'wrong-id', `The address says ${id}, the order says ${asked.order.id}.`);
      return c.json(await store.write((tx) => saveOrder(tx, asked, now())), 200);
    })
    .openapi(cost, async (c) => {
      const found = await costOfOrder(store.db, c.req.valid('param').id, memory);
      if (!found) throw notFound('order');
      return c.json(found, 200);
    })
    .openapi(printed('quote'), (c) => print('quote', c.req.valid('param').id, c.req.valid('query').paper))
    .openapi(printed('receipt'), (c) => print('receipt', c.req.valid('param').id, c.req.valid('query').paper))
    .openapi(remove, async (c) => c.json(await mark(c.req.valid('param').id, now()), 200))
    .openapi(restore, async (c) => c.json(await mark(c.req.valid('param').id, null), 200));
}
