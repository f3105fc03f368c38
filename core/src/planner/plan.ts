import { byGravity, type Finding } from '../model/finding';
import type { HouseRules } from '../model/houseRules';
import type { Shelf } from '../model/shelf';
import { STAGES } from '../model/stages';
import type { Ticket } from '../model/ticket';
import { placementOf } from '../stages/place/planPlace';
import { crossChecks } from './crossChecks';
import type { Plan, Results } from './planned';
import { type Given, STAGE_CONTRACTS } from './stage';
import { isKeptUnread } from './unreadFindings';

/**
 * Works out the whole plan of a ticket against a shelf and house rules: first the face that is worked on, then stage
 * after stage in the order of work, then what needs two of them. Pure: the same inputs give the same plan. Never
 * throws on a ticket of the schema; what cannot be right is a finding of severity stop.
 */
export function planTicket(ticket: Ticket, shelf: Shelf, rules: HouseRules): Plan {
  const placement = placementOf(ticket.place, ticket.piece.kind, shelf.placements);
  const given: Given = { ticket, shelf, rules, placement };
  const results = {} as Results;
  for (const stage of STAGES)
    Object.assign(results, { [stage]: STAGE_CONTRACTS[stage].plan({ ...given, ...results }) });
  return gathered(given, results);
}

/** The results with all their findings and reasons. */
function gathered(given: Given, results: Results): Plan {
  const stages = STAGES.flatMap((stage) => results[stage] ?? []);
  const isSaid = (finding: Finding) => !isKeptUnread(given.ticket, finding);
  return {
    ...results,
    findings: byGravity([
      ...stages.flatMap(({ findings }) => findings).filter(isSaid),
      ...crossChecks(given, results),
    ]),
    reasons: stages.flatMap(({ reasons }) => reasons),
  };
}
