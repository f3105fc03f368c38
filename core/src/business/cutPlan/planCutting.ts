import type { HowFar } from '../../base/inSteps';
import { sheetPieces } from '../../ledger/rolls/sheetPieces';
import type { DayTicket } from '../../model/day';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import { planTicket } from '../../planner/plan';
import { titleOf } from '../../planner/titleOf';
import type { SpoiltSeen } from '../../records/evidence/advice';
import { type SpoiltShare, spoiltShare } from '../cost/spoilt';
import { type BlankLine, blanksToBuy } from '../shopping/blanks';
import { type CutPlan, cutPlan, type PlannedTicket } from './cutPlan';

/** How the bench is cut. */
export interface BenchCut extends CutPlan {
  /** What it would take of rolls were each ticket cut by itself, m; null where this plan does not cut all of them. */
  byTicketM: number | null;
  /** What this plan takes of rolls, m. */
  takenM: number;
  /** Bare pieces that are still to be bought, and what share of pieces is spoilt. */
  blanks: BlankLine[];
  spoilt: SpoiltShare;
}

/** What is asked of a bench: its tickets, and how many of all logged pieces were lost. */
export interface CuttingAsked {
  tickets: readonly DayTicket[];
  shelf: Shelf;
  rules: HouseRules;
  seen: SpoiltSeen;
}

/** Plans the cutting of all tickets together; yields before each how many are planned. */
export function* planCutting({ tickets, shelf, rules, seen }: CuttingAsked): Generator<HowFar, BenchCut> {
  const planned: PlannedTicket[] = [];
  let byTicketM = 0;
  for (const [i, { ticket }] of tickets.entries()) {
    yield { read: i, of: tickets.length };
    const plan = planTicket(ticket, shelf, rules);
    planned.push({ ticketId: ticket.id, title: titleOf(ticket), plan });
    for (const { from } of sheetPieces(plan, shelf, rules))
      byTicketM += from.reduce((sum, { metres }) => sum + metres, 0);
  }
  const cut = cutPlan(planned, shelf.materials, rules);
  const takenM = cut.sources.reduce((sum, { sheet, lengthMm }) => sum + (sheet ? 0 : lengthMm / 1000), 0);
  const spoilt = spoiltShare(seen, rules);
  const blanks = blanksToBuy(tickets, rules, () => spoilt.share);
  const cutsAll = cut.missing.length === 0 && cut.beyond === 0;
  return { ...cut, byTicketM: cutsAll ? byTicketM : null, takenM, blanks, spoilt };
}
