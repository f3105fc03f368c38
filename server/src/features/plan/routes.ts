import { createRoute, OpenAPIHono, type z } from '@hono/zod-openapi';
import { PlanAnswerSchema, PlanQuestionSchema } from '@zt/core/model/api';
import { planTicket } from '@zt/core/planner/plan';
import { frozenPlan } from '@zt/core/records/logbook/frozenPlan';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, body, failures } from '../../errors';
import { readShop, ticketAsked } from '../shop';

const plan = createRoute({
  method: 'post',
  path: '/',
  summary: 'Work out a whole plan, with its reasons and findings',
  description:
    "A ticket, or the id of one. Shelf and house rules are the shop's own unless given. A stage is null while an earlier one cannot be right.",
  request: { body: body(PlanQuestionSchema) },
  responses: { 200: answers(PlanAnswerSchema, 'The plan'), ...failures },
});

export function planRoutes({ store }: Context) {
  return new OpenAPIHono({ defaultHook }).openapi(plan, async (c) => {
    const question = c.req.valid('json');
    const ticket = await ticketAsked(store.db, question);
    const { shelf, rules } = await readShop(store.db);
    const plan = planTicket(ticket, question.shelf ?? shelf, question.houseRules ?? rules);
    return c.json(frozenPlan(plan) as unknown as z.infer<typeof PlanAnswerSchema>, 200);
  });
}
