import type { Severity } from './findings/finding';
import type { Plan } from './plan';
import { STAGES, type Stage } from './stages';
import type { Ticket } from './ticket';

/** How a stage stands on the tape. */
export interface StageState {
  stage: Stage;
  settled: boolean;
  /** Its gravest finding above a note. */
  trouble: Exclude<Severity, 'note'> | null;
  /** An earlier stage must be put right first. */
  blocked: boolean;
}

/** How every stage of a ticket stands, in the order of work. */
export function stageStates(ticket: Pick<Ticket, 'settled'>, plan: Plan): StageState[] {
  return STAGES.map((stage) => {
    const own = plan.findings.filter((f) => f.stage === stage);
    const severities = own.map((f) => f.severity);
    const changed = own.some((f) => f.code === `${stage}-changed`);
    const trouble = severities.includes('stop') ? 'stop' : severities.includes('warn') ? 'warn' : null;
    const blocked = stage !== 'piece' && stage !== 'design' && plan.place === null;
    return {
      stage,
      settled: ticket.settled.includes(stage) && !blocked && trouble !== 'stop' && !changed,
      trouble,
      blocked,
    };
  });
}

/** The stage to go on with: the first that is not settled. */
export function nextStage(states: readonly StageState[]): Stage {
  return states.find((s) => !s.settled)?.stage ?? 'log';
}
