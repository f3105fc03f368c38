import { createRoute, OpenAPIHono, z } from '@hono/zod-openapi';
import {
  FindingSchema,
  frozenPlan,
  HouseRulesSchema,
  IdSchema,
  planTicket,
  ReasonSchema,
  ShelfSchema,
  TicketSchema,
} from '@zt/core';
import type { Context } from '../../context';
import { defaultHook } from '../../defaultHook';
import { answers, body, failures, notFound } from '../../errors';
import { readRules } from '../rules/reader';
import { readShelf } from '../shelf/reader';
import { findTicket } from '../tickets/reader';

const settings = { shelf: ShelfSchema.optional(), houseRules: HouseRulesSchema.optional() };
const Question = z.union([
  z.object({ ticket: TicketSchema, ...settings }),
  z.object({ ticketId: IdSchema, ...settings }),
]);
const stage = z.record(z.string(), z.unknown()).nullable();
const PlanAnswer = z.object({
  piece: stage,
  design: stage,
  place: stage,
  hoop: stage,
  layers: stage,
  mount: stage,
  stitch: stage,
  finish: stage,
  findings: z.array(FindingSchema),
  reasons: z.array(ReasonSchema),
});

const plan = createRoute({
  method: 'post',
  path: '/',
  summary: 'Work out a whole plan, with its reasons and findings',
  description:
    "A ticket, or the id of one. Shelf and house rules are the shop's own unless given. A stage is null while an earlier one cannot be right.",
  request: { body: body(Question) },
  responses: { 200: answers(PlanAnswer, 'The plan'), ...failures },
});

export function planRoutes({ store }: Context) {
  return new OpenAPIHono({ defaultHook }).openapi(plan, async (c) => {
    const question = c.req.valid('json');
    const ticket =
      'ticket' in question ? question.ticket : (await findTicket(store.db, question.ticketId))?.ticket;
    if (!ticket) throw notFound('ticket');
    const shelf = question.shelf ?? (await readShelf(store.db));
    const rules = question.houseRules ?? (await readRules(store.db));
    return c.json(frozenPlan(planTicket(ticket, shelf, rules)) as z.infer<typeof PlanAnswer>, 200);
  });
}
