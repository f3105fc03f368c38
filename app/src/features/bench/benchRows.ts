import type { HowFar } from '@zt/core/base/inSteps';
import { formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { KeptTicket } from '@zt/core/model/api';
import { isInTheWay } from '@zt/core/model/finding';
import type { HouseRules } from '@zt/core/model/houseRules';
import type { Stage } from '@zt/core/model/stages';
import type { Ticket } from '@zt/core/model/ticket';
import { planTicket } from '@zt/core/planner/plan';
import type { Plan } from '@zt/core/planner/planned';
import { nextStage, type StageState, stageStates } from '@zt/core/planner/stageStates';
import { useCallback, useMemo } from 'react';
import { useInSlices } from '../../hooks/useInSlices';
import { useShop } from '../../shop/useShop';
import { STAGE_NAMES } from '../../tape/Tape';

/** A ticket on the bench, planned. */
export interface BenchRow {
  ticket: Ticket;
  plan: Plan;
  states: StageState[];
}

/** What to do next on this ticket, in a line: the worst finding, or the stage's own answer. */
export function nextLine(
  { plan, states }: BenchRow,
  units: HouseRules['units'],
): { text: string; trouble: boolean } {
  const worst = plan.findings.find((f) => f.severity !== 'note');
  if (worst) return { text: say(worst.text, units), trouble: worst.severity !== 'next' };
  const stage = nextStage(states);
  const { place, hoop, layers, stitch, mount } = plan;
  const lines: Partial<Record<string, string>> = {
    place: place ? `Mark it ${formatLength(place.depthMm, units)} from ${place.depthName}` : undefined,
    hoop: hoop?.laid ? `${hoop.laid.verdict.hoop.name}, ${hoop.method}` : undefined,
    layers: layers
      ? `${
          layers.stack
            .filter((l) => l.role !== 'cloth')
            .map((l) => l.name)
            .join(' + ') || 'Nothing underneath'
        }`
      : undefined,
    mount: mount ? `Top of the piece ${mount.chosen.topPoints}` : undefined,
    stitch: stitch ? `Stitch it, ${Math.round(stitch.totalMinutes)} min` : undefined,
  };
  return { text: lines[stage] ?? `Next: ${STAGE_NAMES[stage]}`, trouble: false };
}

/** Where the ticket is opened: at what is in the way, else at what is next. */
export const stageInHand = ({ plan, states }: BenchRow): Stage =>
  plan.findings.find(isInTheWay)?.stage ?? nextStage(states);

/** The columns of the board, by what is next on a ticket. */
export const GROUPS = ['Measure and place', 'Hoop and mount', 'Stitch', 'Finish and log'] as const;
const GROUP_OF: Record<Stage, number> = {
  piece: 0,
  design: 0,
  place: 0,
  hoop: 1,
  layers: 1,
  mount: 1,
  stitch: 2,
  finish: 3,
  log: 3,
};
export const groupOf = (row: BenchRow): number => GROUP_OF[stageInHand(row)];

/** Those that are promised first before others. */
export const byDue = (tickets: readonly KeptTicket[]): KeptTicket[] =>
  [...tickets].sort((a, b) => (a.ticket.due ?? '9999').localeCompare(b.ticket.due ?? '9999'));

/** Minutes at the machine of so many tickets. */
interface Stitching {
  minutes: number;
  tickets: number;
}

/** Tickets of the bench as rows, each planned once, when it comes in sight; and what they are stitched in, null until that is known. */
export function useBenchRows(kept: readonly KeptTicket[]) {
  const { shelf, rules } = useShop();
  const rowOf = useMemo(() => {
    const known = new WeakMap<Ticket, BenchRow>();
    return ({ ticket }: KeptTicket): BenchRow => {
      const before = known.get(ticket);
      if (before) return before;
      const plan = planTicket(ticket, shelf, rules);
      const row = { ticket, plan, states: stageStates(ticket, plan) };
      known.set(ticket, row);
      return row;
    };
  }, [shelf, rules]);
  const summing = useCallback(
    function* (): Generator<HowFar, Stitching> {
      let minutes = 0;
      for (const [read, one] of kept.entries()) {
        yield { read, of: kept.length };
        minutes += rowOf(one).plan.stitch?.totalMinutes ?? 0;
      }
      return { minutes, tickets: kept.length };
    },
    [kept, rowOf],
  );
  return { rowOf, stitching: useInSlices(summing).result };
}
