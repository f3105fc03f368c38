import { STABILIZERS } from '../../catalogue/materials';
import type { Act, Deed, DeedName } from '../../model/deed';
import { DO_BEFORE } from './doing/before';
import type { DoDeeds } from './doing/doDeeds';
import { DO_FINISH } from './doing/finish';
import { DO_HOOP } from './doing/hoop';
import { DO_MACHINE } from './doing/machine';
import type { Hands, Job } from './job';
import type { RefusalCode } from './refusal';
import { atStart, type WorkState } from './workState';

const DO: DoDeeds<DeedName> = { ...DO_BEFORE, ...DO_HOOP, ...DO_MACHINE, ...DO_FINISH };

/** Something that cannot or must not be done: at which act; null where the job ends with it. */
export interface RefusedAct {
  code: RefusalCode;
  act: Act | null;
}

/** What must be so once all is done. */
function atEnd(job: Job, state: WorkState, refuse: (code: RefusalCode) => void): void {
  if (state.closed !== 'no') refuse('in-the-hoop');
  if (state.isMarked) refuse('marks-left');
  if (state.openSeams.size > 0) refuse('seam-open');
  const { sheets, topper, filmRest, boxes, crosses } = state.left;
  const goes = [...sheets.keys()].some((sheet) => {
    const kept = job.layers.sheets[sheet];
    return (
      kept && (!STABILIZERS[kept.stabilizer].staysIn || STABILIZERS[kept.stabilizer].family === 'cut-away')
    );
  });
  if (goes || topper || filmRest || boxes > 0 || crosses) refuse('left-on');
  if ([...state.cut.values()].some(({ left }) => left > 0.5)) refuse('left-over');
}

/**
 * Carries out a job to the letter, act after act, for one piece of it, and says what it refuses: what cannot be, and what must
 * not be. It goes on after a refusal as if the act had been done. Empty where all of it can be done.
 */
export function obey(acts: readonly Act[], job: Job): RefusedAct[] {
  const refused: RefusedAct[] = [];
  const state = atStart();
  for (const act of acts) {
    const refuse = (code: RefusalCode) => {
      refused.push({ code, act });
    };
    const carryOut = DO[act.deed.do] as (deed: Deed, hands: Hands) => void;
    carryOut(act.deed, { job, state, act, refuse });
  }
  atEnd(job, state, (code) => refused.push({ code, act: null }));
  return refused;
}
