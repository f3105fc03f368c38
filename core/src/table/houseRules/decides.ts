import type { HowFar } from '../../base/inSteps';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { titleOf } from '../../planner/titleOf';

/** Names of the tickets that each rule decides, by the rule’s id. Yields before each ticket how many were read. */
export function* whatDecides(
  tickets: readonly Ticket[],
  shelf: Shelf,
  rules: HouseRules,
): Generator<HowFar, Map<string, string[]>> {
  const names = new Map<string, string[]>();
  for (const [read, ticket] of tickets.entries()) {
    yield { read, of: tickets.length };
    const { layers } = planTicket(ticket, shelf, rules);
    if (!layers) continue;
    const ids = [layers.supportRule, ...Object.values(layers.parts).map((part) => part.rule)];
    for (const id of ids) names.set(id, [...(names.get(id) ?? []), titleOf(ticket)]);
  }
  return names;
}
