import { byGravity, type Finding } from '../model/finding';
import type { HouseRules } from '../model/houseRules';
import type { Shelf } from '../model/shelf';
import { STAGES, type Stage } from '../model/stages';
import type { Ticket } from '../model/ticket';
import { placementOf } from '../stages/place/planPlace';
import { crossChecks } from './crossChecks';
import type { Plan, Results } from './planned';
import { remembering, shared } from './remember';
import { type Given, STAGE_CONTRACTS } from './stage';
import { isKeptUnread } from './unreadFindings';

/** Works out one stage from what is given and the results before it. */
type PlanStage = (stage: Stage, upstream: Given & Results) => Results[Stage];

const planStage: PlanStage = (stage, upstream) => STAGE_CONTRACTS[stage].plan(upstream);

/**
 * Works out the whole plan of a ticket against a shelf and house rules: first the face that is worked on, then stage
 * after stage in the order of work, then what needs two of them. Pure: the same inputs give the same plan. Never
 * throws on a ticket of the schema; what cannot be right is a finding of severity stop.
 */
export function planTicket(ticket: Ticket, shelf: Shelf, rules: HouseRules): Plan {
  return planned({ ticket, shelf, rules, placement: placementIn(ticket, shelf) }, planStage);
}

/**
 * A planner for a ticket that is being worked on. It gives what `planTicket` gives, but works out anew only the stages
 * that read something which has changed since the last plan, and what comes out as before is the very same object.
 */
export function makePlanner(): (ticket: Ticket, shelf: Shelf, rules: HouseRules) => Plan {
  const again = remembering<Stage, Given & Results, Results[Stage]>(planStage);
  let before: { placement: Given['placement']; plan: Plan } | null = null;
  return (ticket, shelf, rules) => {
    const placement = shared(before?.placement, placementIn(ticket, shelf));
    const next = planned({ ticket, shelf, rules, placement }, again);
    const findings = shared(before?.plan.findings, next.findings);
    const plan = { ...next, findings, reasons: shared(before?.plan.reasons, next.reasons) };
    if (before && isSame(before.plan, plan)) return before.plan;
    before = { placement, plan };
    return plan;
  };
}

/** Whether two plans are made of the very same parts. */
const isSame = (a: Plan, b: Plan): boolean => (Object.keys(b) as (keyof Plan)[]).every((k) => a[k] === b[k]);

const placementIn = ({ place, piece }: Ticket, shelf: Shelf): Given['placement'] =>
  placementOf(place, piece.kind, shelf.placements);

/** Stage after stage, each from those before it. */
function staged(given: Given, plan: PlanStage): Results {
  const results = {} as Results;
  for (const stage of STAGES) Object.assign(results, { [stage]: plan(stage, { ...given, ...results }) });
  return results;
}

const planned = (given: Given, plan: PlanStage): Plan => gathered(given, staged(given, plan));

/** The results with all their findings and reasons. */
function gathered(given: Given, results: Results): Plan {
  const stages = STAGES.flatMap((stage) => results[stage] ?? []);
  const isSaid = (finding: Finding) => !isKeptUnread(given.ticket, finding);
  return {
    ...results,
    findings: byGravity([
      ...stages.flatMap(({ findings }) => findings).filter(isSaid),
      ...crossChecks(given, results, (changed) => staged(changed, planStage)),
    ]),
    reasons: stages.flatMap(({ reasons }) => reasons),
  };
}
