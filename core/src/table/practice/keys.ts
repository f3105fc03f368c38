import { add, fullTurnDeg, ORIGIN, type Point } from '../../base/geometry/point';
import { say } from '../../base/units/phrase';
import type { PracticeCommand, PracticeJob, PracticeState } from '../../model/practice';
import { whyDesignDoesNotFit } from '../../stages/hoop/fit';
import { fieldOf } from '../../stages/hoop/judgeHoop';
import { sidesInWords } from '../../stages/hoop/sides';
import { HAIR_MM } from '../../stages/mount/keys';
import { done, hoopNamed, type KeyOutcome, missOf, pastWords, refusePress } from './outcome';

/** What one press does. */
export type Press<P extends PracticeCommand['press']> = (
  job: PracticeJob,
  state: PracticeState,
  command: Extract<PracticeCommand, { press: P }>,
) => KeyOutcome;

/** By how much a design leaves its field, mm; nothing when it is inside. */
const missMm = (job: PracticeJob, state: PracticeState): number => {
  const miss = missOf(job, state);
  return miss ? Math.max(miss.widthMm, miss.heightMm) : 0;
};

/**
 * The state with other keys, unless stitching has begun or they bring the design farther out of the field than it
 * is: on the way to its place it may stand outside, trace and start will not have it there.
 */
function keyed(
  job: PracticeJob,
  state: PracticeState,
  keys: Partial<PracticeState>,
  message: string,
): KeyOutcome {
  if (state.stop > 0 || state.done > 0)
    return refusePress('started', 'Stitching has begun: the design can no longer be moved.');
  const next = { ...state, ...keys, traced: false };
  const past = missMm(job, next);
  if (past === 0) return done(next, message);
  const by = `${pastWords(past)} past the field`;
  return past <= missMm(job, state) + HAIR_MM
    ? done(next, `${message} The design still reaches ${by}.`)
    : refusePress('outside-field', `Not done: the design would reach ${by}.`);
}

export const setHoop: Press<'set-hoop'> = (job, state, { hoopId }) => {
  const hoop = hoopNamed(job, hoopId);
  if (!hoop) return refusePress('unknown-hoop', 'This hoop does not go on this machine.');
  return keyed(job, state, { setId: hoopId }, `Set to ${hoop.name}.`);
};

export const move: Press<'move'> = (job, state, by) =>
  keyed(job, state, { move: add(state.move, by) }, 'Moved.');

export const turnBy: Press<'turn'> = (job, state, { deg }) => {
  const steps = deg / job.machine.turnStepDeg;
  if (Math.abs(steps - Math.round(steps)) > 1e-9)
    return refusePress('turn-step', `This machine turns by ${job.machine.turnStepDeg}° only.`);
  return keyed(job, state, { turnDeg: fullTurnDeg(state.turnDeg + deg) }, 'Turned.');
};

export const mirror: Press<'mirror'> = (job, state) =>
  job.machine.mirrors
    ? keyed(job, state, { mirror: !state.mirror }, state.mirror ? 'As drawn.' : 'Mirrored.')
    : refusePress('cannot-mirror', 'This machine does not mirror.');

export const resize: Press<'resize'> = (job, state, { percent }) => {
  const { leastPercent, mostPercent } = job.machine.resize;
  if (percent < leastPercent || percent > mostPercent)
    return refusePress('cannot-resize', `This machine resizes from ${leastPercent} to ${mostPercent} %.`);
  return keyed(job, state, { scalePercent: percent }, `Resized to ${percent} %.`);
};

/** A place in the hoop in words; what is nothing is left out. */
export const placeWords = (at: Point): string => say(sidesInWords(at, 'in the middle'), { system: 'mm' });

/** Moves the hoop under the needle, by so many mm of the hoop. */
export const jog: Press<'jog'> = (job, state, by) => {
  const hoop = hoopNamed(job, state.setId);
  if (!state.onId || !hoop) return refusePress('no-hoop', 'There is no hoop on the carriage.');
  const needle = add(state.needle, by);
  if (whyDesignDoesNotFit([needle], fieldOf(hoop), { turnDeg: 0, x: 0, y: 0 }))
    return refusePress('outside-field', 'The needle stays inside the stitch field.');
  return done({ ...state, needle }, `Needle ${placeWords(needle)}.`);
};

export const needleToCentre: Press<'needle-to-centre'> = (_, state) =>
  done({ ...state, needle: ORIGIN }, 'Needle over the middle of the field.');
