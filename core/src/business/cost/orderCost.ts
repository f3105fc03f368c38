import { z } from 'zod';
import type { HouseRules } from '../../model/houseRules';
import { COST_IDS } from './costLine';
import { priceFor } from './price';
import type { TrueCost } from './trueCost';

/** What an order costs: its tickets' lines put together, and what each ticket comes to. */
export const OrderCostSchema = z.object({
  pieces: z.number().int(),
  currency: z.string(),
  lines: z.array(z.object({ id: z.enum(COST_IDS), name: z.string(), minor: z.number() })),
  totalMinor: z.number(),
  lowMinor: z.number(),
  highMinor: z.number(),
  /** What blanks alone cost, as somebody counts who counts nothing else. */
  blankMinor: z.number(),
  /** What leaves the wanted margin for all of it; null where no price does, or not all of it can be costed. */
  wantedMinor: z.number().nullable(),
  tickets: z.array(z.object({ id: z.string(), name: z.string(), totalMinor: z.number().nullable() })),
  /** What has no price yet. */
  unpriced: z.array(z.string()),
});
export type OrderCost = z.infer<typeof OrderCostSchema>;

/** What a ticket of an order costs; null while it is not planned so far. */
export interface TicketCost {
  id: string;
  name: string;
  cost: TrueCost | null;
}

const sumOf = (costs: readonly TrueCost[], of: (cost: TrueCost) => number): number =>
  costs.reduce((sum, cost) => sum + of(cost), 0);

/** The lines of an order, each the sum of its tickets' lines; what a ticket that is not planned costs is in none. */
export function orderCost(tickets: readonly TicketCost[], rules: HouseRules): OrderCost {
  const costs = tickets.flatMap(({ cost }) => cost ?? []);
  const all = costs.flatMap(({ lines }) => lines);
  const lines = COST_IDS.flatMap((id) => {
    const own = all.filter((line) => line.id === id);
    const [first] = own;
    return first ? [{ id, name: first.name, minor: own.reduce((sum, { minor }) => sum + minor, 0) }] : [];
  });
  const prices = costs.map((cost) => {
    const one = priceFor(cost, cost.pieces, rules);
    return one === null ? null : one * cost.pieces;
  });
  const isWhole = costs.length === tickets.length && costs.length > 0;
  const wanted = prices.reduce<number | null>(
    (sum, price) => (sum === null || price === null ? null : sum + price),
    0,
  );
  return {
    pieces: sumOf(costs, ({ pieces }) => pieces),
    currency: rules.currency,
    lines,
    totalMinor: sumOf(costs, ({ totalMinor }) => totalMinor),
    lowMinor: sumOf(costs, ({ lowMinor }) => lowMinor),
    highMinor: sumOf(costs, ({ highMinor }) => highMinor),
    blankMinor: lines.find(({ id }) => id === 'blank')?.minor ?? 0,
    wantedMinor: isWhole ? wanted : null,
    tickets: tickets.map(({ id, name, cost }) => ({ id, name, totalMinor: cost?.totalMinor ?? null })),
    unpriced: [...new Set(costs.flatMap(({ unpriced }) => unpriced))],
  };
}

/** What a promised price leaves of an order, by habit and in truth; and whether all of it is counted. */
export function leftOfOrder(promisedMinor: number, cost: OrderCost) {
  const trueMinor = promisedMinor - cost.totalMinor;
  return {
    naiveMinor: promisedMinor - cost.blankMinor,
    trueMinor,
    marginPercent: promisedMinor === 0 ? null : (100 * trueMinor) / promisedMinor,
  };
}

/** Whether nothing of an order is left uncounted: all its tickets are planned, and all that goes into them has a price. */
export const isWholeCost = ({ tickets, unpriced }: Pick<OrderCost, 'tickets' | 'unpriced'>): boolean =>
  unpriced.length === 0 && tickets.every(({ totalMinor }) => totalMinor !== null);
