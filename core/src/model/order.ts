import { z } from 'zod';
import { IdSchema } from '../base/ids';
import { MinorSchema } from '../base/units/money';
import { UnreadSchema } from './fields/unread';
import { OffersSchema } from './offer';

/** How far an order is, from being asked for to being paid. */
export const ORDER_STATES = [
  'asked',
  'agreed',
  'blanks here',
  'in work',
  'done',
  'handed over',
  'paid',
] as const;
export type OrderState = (typeof ORDER_STATES)[number];

/** The states in which the shop still owes something on it: it is not handed over. */
export const OPEN_STATES: readonly OrderState[] = ORDER_STATES.slice(0, ORDER_STATES.indexOf('handed over'));
export const isOpenState = (state: OrderState): boolean => OPEN_STATES.includes(state);

/** What somebody ordered: its tickets name it, and it says for whom, until when, and what was promised. */
export const OrderSchema = z.object({
  id: IdSchema,
  name: z.string().min(1).max(120),
  customerId: IdSchema.nullable().default(null),
  /** ISO date; null while no day is promised. */
  due: z.iso.date().nullable().default(null),
  /** What was promised for all of it, in the shop's smallest coin; null while no price is. */
  promisedMinor: MinorSchema.nullable().default(null),
  /** What all of it cost when it was handed over, by the prices of that day; null while it is not, or nobody worked it out. */
  costMinor: MinorSchema.nullable().default(null),
  state: z.enum(ORDER_STATES).default('asked'),
  /** The day on which it came to each state. */
  since: z.partialRecord(z.enum(ORDER_STATES), z.iso.date()).default({}),
  /** What the customer brought, to be given back or worked on. */
  brought: z.string().max(600).default(''),
  note: z.string().max(2000).default(''),
  unread: UnreadSchema.optional(),
  offers: OffersSchema.optional(),
});
export type Order = z.infer<typeof OrderSchema>;

/**
 * The order once it has come to a state on a day; what came after that state is no more. Once it is handed over it keeps
 * what all of it cost: by the prices of that day, or the first on which somebody worked it out.
 */
export function inState(
  order: Order,
  state: OrderState,
  today: string,
  costMinor: number | null = null,
): Order {
  const at = ORDER_STATES.indexOf(state);
  const since = Object.fromEntries(
    Object.entries(order.since).filter(([one]) => ORDER_STATES.indexOf(one as OrderState) < at),
  );
  const cost = isOpenState(state) ? null : (order.costMinor ?? costMinor);
  return { ...order, state, since: { ...since, [state]: today }, costMinor: cost };
}

/** An order that was just asked for. */
export const newOrder = (id: string, name: string, today: string): Order => ({
  ...OrderSchema.parse({ id, name }),
  since: { asked: today },
});
