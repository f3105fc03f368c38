import { createSelector } from '@reduxjs/toolkit';
import { applyMend } from '@zt/core/model/finding';
import type { Ticket } from '@zt/core/model/ticket';
import { makePlanner } from '@zt/core/planner/plan';
import type { Plan } from '@zt/core/planner/planned';
import { stageStates } from '@zt/core/planner/stageStates';
import { selectRules, selectShelf } from './shopNow';
import type { RootState } from './state';

/** The ticket that is being worked on. */
export function selectTicket(state: RootState): Ticket {
  const { present } = state.editor;
  if (!present) throw new Error('assertion failed: no ticket is open here');
  return present;
}

/** The way out of a finding that is tried out: the sheet shows what it would bring, and nothing is changed. */
export const selectTrial = (state: RootState) => state.editor.trial;

/** Its plan: derived, never kept; its parts stay the same objects while nothing that they tell changes. */
export const selectPlan = createSelector([selectTicket, selectShelf, selectRules], makePlanner());

/** The ticket as it would be with the mend that is tried out; as it is while none is. */
export const selectTriedTicket = createSelector([selectTicket, selectTrial], (ticket, trial) =>
  trial ? applyMend(ticket, trial) : ticket,
);

const planTried = makePlanner();
export const selectTriedPlan = createSelector(
  [selectTriedTicket, selectPlan, selectTrial, selectShelf, selectRules],
  (ticket, plan, trial, shelf, rules) => (trial ? planTried(ticket, shelf, rules) : plan),
);

/** How every stage stands on the tape. */
export const selectStageStates = createSelector([selectTicket, selectPlan], stageStates);

/** The first reading that was still to take for the marks; none when all were taken. */
const firstToMeasure = ({ asked, later }: Plan['piece'], taken: Ticket['piece']['readings']): string | null =>
  asked.find((r) => !r.optional && !later.includes(r) && taken[r.id] === undefined)?.id ?? null;

/** The reading being taken: the one last chosen, else the first that was missing when these were asked for. */
export const selectReading = createSelector(
  [selectPlan, (state: RootState) => state.editor.reading, (state: RootState) => state.editor.takenBefore],
  ({ piece }, chosen, taken) => (chosen === undefined ? firstToMeasure(piece, taken) : chosen),
);
