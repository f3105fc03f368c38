import type { KeyRefusal, PracticeJob, PracticeState } from '../../model/practice';
import type { Hoop } from '../../model/shelf';
import { type Miss, whyDesignDoesNotFit } from '../../stages/hoop/fit';
import { fieldOf } from '../../stages/hoop/judgeHoop';
import { HAIR_MM } from '../../stages/mount/keys';
import { keyedHull } from './needle';

/** What a press came to: a new state, or a refusal that leaves the state as it was. */
export interface Done {
  ok: true;
  state: PracticeState;
  message: string;
}
export interface Refused {
  ok: false;
  code: KeyRefusal;
  message: string;
}
export type KeyOutcome = Done | Refused;

export const done = (state: PracticeState, message: string): Done => ({ ok: true, state, message });
export const refusePress = (code: KeyRefusal, message: string): Refused => ({ ok: false, code, message });
export const halted = (state: PracticeState, halt: PracticeState['halt'], message: string): Done =>
  done({ ...state, running: false, halt }, message);

export const tenth = (mm: number): string => String(Math.round(mm * 10) / 10);
/** How far past, in words that are never nothing: a tenth at the least. */
export const pastWords = (mm: number): string => (mm < 0.05 ? 'less than 0.1 mm' : `${tenth(mm)} mm`);
export const hoopNamed = (job: PracticeJob, id: string | null): Hoop | null =>
  job.hoops.find((h) => h.id === id) ?? null;

/** By how much the design as keyed leaves the field the machine is set to; null when it is inside. */
export function missOf(job: PracticeJob, state: PracticeState): Miss | null {
  const hoop = hoopNamed(job, state.setId);
  if (!hoop) return null;
  const miss = whyDesignDoesNotFit(keyedHull(job, state), fieldOf(hoop), { turnDeg: 0, x: 0, y: 0 });
  return miss && Math.max(miss.widthMm, miss.heightMm) > HAIR_MM ? miss : null;
}

/** Why the hoop on the carriage cannot be moved yet; null when it is latched and the one the machine is set to. */
export function whyHoopNotReady(job: PracticeJob, state: PracticeState): Refused | null {
  const hoop = hoopNamed(job, state.onId);
  if (!hoop) return refusePress('no-hoop', 'There is no hoop on the carriage.');
  if (!state.latched) return refusePress('not-latched', 'The hoop is not latched.');
  if (job.machine.knowsHoops && state.onId !== state.setId)
    return refusePress(
      'wrong-hoop',
      `This is ${hoop.name}; the machine is set to ${hoopNamed(job, state.setId)?.name ?? 'another'}.`,
    );
  return null;
}
