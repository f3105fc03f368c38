import { isInTheWay, type Severity } from '../model/finding';
import { STAGES, type Stage } from '../model/stages';
import type { Ticket } from '../model/ticket';
import type { Plan } from './planned';

/** How a stage stands on the tape. */
export interface StageState {
  stage: Stage;
  settled: boolean;
  /** Its gravest finding above a note. */
  trouble: Exclude<Severity, 'note'> | null;
  /** An earlier stage must be put right first. */
  blocked: boolean;
}

const GRAVE = ['stop', 'next', 'warn'] as const;

/** Whether a stage waits: for the piece and the design, or for a hoop that the design lies in. */
function isBlocked(stage: Stage, plan: Plan): boolean {
  if (stage === 'piece' || stage === 'design') return false;
  return plan.place === null || (stage === 'mount' && plan.mount === null);
}

/** How every stage of a ticket stands, in the order of work. */
export function stageStates(ticket: Pick<Ticket, 'settled'>, plan: Plan): StageState[] {
  return STAGES.map((stage) => {
    const own = plan.findings.filter((f) => f.stage === stage);
    const severities = own.map((f) => f.severity);
    const changed = own.some((f) => f.code === `${stage}-changed`);
    const trouble = GRAVE.find((severity) => severities.includes(severity)) ?? null;
    const blocked = isBlocked(stage, plan);
    return {
      stage,
      settled: ticket.settled.includes(stage) && !blocked && !own.some(isInTheWay) && !changed,
      trouble,
      blocked,
    };
  });
}

/** The stage to go on with: the first that is not settled. */
export function nextStage(states: readonly StageState[]): Stage {
  return states.find((s) => !s.settled)?.stage ?? 'log';
}
