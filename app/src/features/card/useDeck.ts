import { isInTheWay } from '@zt/core/model/finding';
import type { Stage } from '@zt/core/model/stages';
import type { Ticket } from '@zt/core/model/ticket';
import { nameInHand } from '@zt/core/planner/onTable';
import { tickAt, withTick } from '@zt/core/records/logbook/ticked';
import { isDone, nextToDo, STAGE_OF, tickOff } from '@zt/core/table/deck/done';
import { deckOf, jobSteps } from '@zt/core/table/deck/jobSteps';
import type { Step } from '@zt/core/table/deck/step';
import { useEffect, useRef, useState } from 'react';
import { usePlan, useRules, useTicket, useTicketActs } from '../../hooks/useTicket';

/** The deck in the hand: the step that is shown, null at its end, and the ways on and back. */
export interface DeckInHand {
  steps: readonly Step[];
  index: number;
  step: Step | null;
  isDone: boolean;
  /** Ticks what is shown, and goes on. */
  next: () => void;
  back: () => void;
}

/** Until the ring closes, what was taken as usual is read first: the marks go by it. */
const BEFORE_THE_RING: readonly Stage[] = ['place', 'hoop'];

/** Where the hands begin at a stage: its first step that is not done, else the next of the job. */
function beginning(steps: readonly Step[], slice: readonly Step[], ticket: Ticket, stage: Stage): number {
  const isUsual = ({ phase, reading }: Step) =>
    phase === 'measure' && reading !== null && ticket.piece.assumed.includes(reading);
  const usual = BEFORE_THE_RING.includes(stage) ? steps.findIndex(isUsual) : -1;
  if (usual >= 0) return usual;
  const first = steps.findIndex(({ id }) => id === slice[0]?.id);
  return nextToDo(steps, ticket, Math.max(0, first));
}

/**
 * The whole job as one deck, from where it stands. Going through a step ticks it; a step that is ticked on another
 * device while it is shown here is gone on from.
 */
export function useDeck(stage: Stage): DeckInHand {
  const ticket = useTicket();
  const plan = usePlan();
  const rules = useRules();
  const { change } = useTicketActs();
  const steps = jobSteps(plan, rules);
  const [begun] = useState(() => {
    const from = beginning(steps, deckOf(stage, plan, rules), ticket, stage);
    return steps[from]?.id ?? null;
  });
  /** The step in the hand by its id; null at the end. */
  const [at, setAt] = useState<string | null>(begun);
  /** Another name was taken to the table, here or elsewhere: its piece is begun. */
  const name = nameInHand(ticket)?.row.id;
  const [begunFor, setBegunFor] = useState(name);
  if (name !== begunFor) {
    setBegunFor(name);
    setAt(steps[nextToDo(steps, ticket)]?.id ?? null);
  }
  const found = steps.findIndex(({ id }) => id === at);
  // A step that is none any more: the plan has changed under the hand.
  const index = at === null ? steps.length : found < 0 ? nextToDo(steps, ticket) : found;
  const step = steps[index] ?? null;
  const done = step !== null && isDone(step, ticket);
  const go = (to: number) => setAt(steps[to]?.id ?? null);
  const before = useRef({ id: step?.id, done });
  useEffect(() => {
    const { id, done: was } = before.current;
    before.current = { id: step?.id, done };
    if (step && id === step.id && !was && done && step.reading === null)
      setAt(steps[nextToDo(steps, ticket, index)]?.id ?? null);
  });
  return {
    steps,
    index,
    step,
    isDone: done,
    next: () => {
      if (!step) return;
      const tick = tickOff(step, ticket);
      if (tick) {
        const gesture = `step ${step.id}`;
        change(tick, gesture);
        const at = tickAt(Date.now(), STAGE_OF[step.phase]);
        change({ stage: 'log', set: { ticks: withTick(ticket.log.ticks, at) } }, gesture);
      }
      go(index + 1);
    },
    back: () => go(Math.max(0, index - 1)),
  };
}

/** The stage of the step in the hand, and at the end the first that still wants something. */
export function useStageInHand({ step }: DeckInHand, fallback: Stage): Stage {
  const plan = usePlan('findings', 'finish');
  if (step) return STAGE_OF[step.phase];
  const wants = plan.findings.find((f) => f.severity === 'next' || isInTheWay(f))?.stage;
  return wants ?? (plan.finish ? 'log' : fallback);
}
