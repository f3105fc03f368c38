import { type OrderCost, orderCost, type TicketCost } from '@zt/core/business/cost/orderCost';
import { spoiltShare } from '@zt/core/business/cost/spoilt';
import { trueCost } from '@zt/core/business/cost/trueCost';
import { planTicket } from '@zt/core/planner/plan';
import { spoiltLike } from '@zt/core/records/evidence/advice';
import type { Db } from '../../db/client';
import type { LogMemory } from '../logbook/memory';
import { readShop } from '../shop';
import { findTicket } from '../tickets/reader';
import { readOrder } from './reader';

/** What an order costs with all its tickets, planned against the shop as it is; null when there is no such order. */
export async function costOfOrder(
  db: Pick<Db, 'select'>,
  id: string,
  memory: LogMemory,
): Promise<OrderCost | null> {
  const found = await readOrder(db, id);
  if (!found) return null;
  const { shelf, rules } = await readShop(db);
  const { pieces } = await memory.learned(rules);
  const costs: TicketCost[] = [];
  for (const { id: ticketId, onBench, loggedAs } of found.tickets) {
    if (!onBench && loggedAs === null) continue;
    const kept = await findTicket(db, ticketId);
    if (!kept) continue;
    const { ticket } = kept;
    const of = { ticket, plan: planTicket(ticket, shelf, rules), shelf, rules };
    const spoilt = spoiltShare(spoiltLike(of, pieces), rules);
    costs.push({ id: ticketId, name: ticket.name, cost: trueCost(of, spoilt) });
    // Others are answered between.
    await new Promise<void>((go) => setImmediate(go));
  }
  return orderCost(costs, rules);
}
