import { distance, ORIGIN, shortTurnDeg } from '../../base/geometry/point';
import { deg, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import type { PracticeAnswer, PracticeCommand, PracticeJob, PracticeState } from '../../model/practice';
import { jog, mirror, move, needleToCentre, type Press, resize, setHoop, turnBy } from './keys';
import { done, halted, hoopNamed, type KeyOutcome, refusePress } from './outcome';
import { sew, start, trace } from './stitching';

/** The machine as it stands before anything is pressed: power on, no hoop, the design centred and upright. */
export function practiceStart(job: PracticeJob): PracticeState {
  return {
    powered: true,
    onId: null,
    latched: false,
    setId: job.hoopId,
    move: ORIGIN,
    turnDeg: 0,
    mirror: false,
    scalePercent: 100,
    needle: ORIGIN,
    needleWhole: true,
    traced: false,
    running: false,
    halt: 'stopped',
    met: null,
    stop: 0,
    done: 0,
    threaded: null,
    bobbinM: job.bobbinM,
    bobbinChanges: 0,
    seconds: 0,
  };
}

const putOn: Press<'put-on'> = (job, state, { hoopId }) => {
  const hoop = hoopNamed(job, hoopId);
  if (!hoop) return refusePress('unknown-hoop', 'This hoop does not go on this machine.');
  if (state.onId) return refusePress('hoop-on', 'There is a hoop on the carriage already.');
  const next = { ...state, onId: hoop.id, latched: false, traced: false, needle: ORIGIN };
  return done(next, `${hoop.name} on the carriage, not latched yet.`);
};

/** One entry for each press. */
const PRESSES: { [P in PracticeCommand['press']]: Press<P> } = {
  power: (_, state, { on }) =>
    done({ ...state, powered: on, running: false }, on ? 'Power on.' : 'Power off.'),
  'put-on': putOn,
  'take-off': (_, state) =>
    done({ ...state, onId: null, latched: false, traced: false }, 'The carriage is free.'),
  latch: (_, state) =>
    state.onId
      ? done({ ...state, latched: true }, 'Latched.')
      : refusePress('no-hoop', 'There is no hoop to latch.'),
  unlatch: (_, state) => done({ ...state, latched: false }, 'Unlatched.'),
  'set-hoop': setHoop,
  jog,
  'needle-to-centre': needleToCentre,
  move,
  turn: turnBy,
  mirror,
  resize,
  trace,
  thread: (job, state, { stop }) => {
    const colour = job.stops[stop];
    if (!colour)
      return refusePress(
        'unknown-stop',
        `This design has ${job.stops.length} colour stops: there is no stop ${stop + 1}.`,
      );
    return done({ ...state, threaded: stop }, `Threaded: ${colour.name}.`);
  },
  'new-bobbin': (job, state) =>
    done(
      { ...state, bobbinM: job.machine.bobbinMetres, bobbinChanges: state.bobbinChanges + 1 },
      'A full bobbin is in.',
    ),
  'new-needle': (_, state) =>
    state.powered
      ? refusePress('power-on', 'Power off before the needle is changed.')
      : done({ ...state, needleWhole: true, met: null }, 'A new needle is in.'),
  back: (_, state, { stitches }) => {
    const by = Math.min(stitches, state.done);
    if (by === 0)
      return refusePress('at-start', 'This colour has not begun: there is nothing to go back over.');
    return done({ ...state, done: state.done - by }, `Back by ${by} ${by === 1 ? 'stitch' : 'stitches'}.`);
  },
  start,
  stop: (_, state) => halted(state, 'stopped', 'Stopped.'),
  sew,
};

/** What may be pressed with the power off, and while it stitches. */
const WITHOUT_POWER: ReadonlySet<PracticeCommand['press']> = new Set([
  'power',
  'new-needle',
  'put-on',
  'take-off',
]);
const WHILE_RUNNING: ReadonlySet<PracticeCommand['press']> = new Set(['power', 'sew', 'stop']);

function outcomeOf(job: PracticeJob, state: PracticeState, command: PracticeCommand): KeyOutcome {
  if (!state.powered && !WITHOUT_POWER.has(command.press))
    return refusePress('power-off', 'The machine is off.');
  if (state.running && !WHILE_RUNNING.has(command.press))
    return refusePress('running', 'It is stitching: stop it first. Hands away from the hoop.');
  const press = PRESSES[command.press] as Press<PracticeCommand['press']>;
  return press(job, state, command);
}

/**
 * The practice machine's answer to one press: the new state, or the old one and why not. Pure; time passes only by
 * the seconds of `sew`.
 */
export function obeyPress(job: PracticeJob, state: PracticeState, command: PracticeCommand): PracticeAnswer {
  const outcome = outcomeOf(job, state, command);
  return outcome.ok ? { ...outcome, code: null } : { ...outcome, state };
}

/** Off by less, nobody sees it. */
const UNSEEN = { mm: 1, deg: 0.6 };

/** How a run sits on the marks: how far the design's centre is off, and its turn, and that in words. */
export interface PracticeOutcome {
  offMm: number;
  offDeg: number;
  mirroredWrongly: boolean;
  good: boolean;
  text: Phrase;
}

export function practiceOutcome(job: PracticeJob, state: PracticeState): PracticeOutcome {
  const { wanted } = job;
  const off = shortTurnDeg(state.turnDeg - wanted.turnDeg);
  const offMm = distance(state.move, wanted.move);
  const offDeg = Math.abs(off);
  const mirroredWrongly = state.mirror !== wanted.mirror;
  const faults = [
    ...(offDeg > UNSEEN.deg
      ? [offDeg === 180 ? phrase`upside down` : phrase`turned ${deg(offDeg)} off`]
      : []),
    ...(mirroredWrongly ? [phrase`the wrong way round: the mirror`] : []),
    ...(offMm > UNSEEN.mm ? [phrase`${mm(offMm)} off its mark`] : []),
    ...(state.scalePercent === 100 ? [] : [phrase`at ${percent(state.scalePercent)} of its size`]),
  ];
  const [first, ...more] = faults;
  const text = first
    ? phrase`Stitched ${[...first, ...more.flatMap((fault) => [', ', ...fault])]}.`
    : phrase`On its marks: ${mm(offMm)} off.`;
  return { offMm, offDeg, mirroredWrongly, good: faults.length === 0, text };
}
