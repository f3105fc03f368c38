import { ORIGIN, type Point } from '../../base/geometry/point';
import type { PracticeJob, PracticeState } from '../../model/practice';
import type { Hoop } from '../../model/shelf';
import type { Press } from './keys';
import { alongPath, keyedHull, keyedPoint, struckAt, touchedRound } from './needle';
import {
  done,
  halted,
  hoopNamed,
  type KeyOutcome,
  missOf,
  pastWords,
  refusePress,
  whyHoopNotReady,
} from './outcome';

/** Why neither trace nor start may run: the design stands outside the field of the hoop the machine is set to. */
function whyOutside(job: PracticeJob, state: PracticeState): KeyOutcome | null {
  const miss = missOf(job, state);
  if (!miss) return null;
  const by = pastWords(Math.max(miss.widthMm, miss.heightMm));
  return refusePress('outside-field', `The design reaches ${by} past the field of the hoop it is set to.`);
}

/** Takes the foot round the design's hull, up to the first thing it touches. */
export const trace: Press<'trace'> = (job, state) => {
  const why = whyHoopNotReady(job, state);
  const hoop = hoopNamed(job, state.onId);
  if (why || !hoop) return why ?? refusePress('no-hoop', 'There is no hoop on the carriage.');
  const outside = whyOutside(job, state);
  if (outside) return outside;
  const touched = touchedRound(keyedHull(job, state), hoop, job);
  if (!touched)
    return halted(
      { ...state, needle: state.move, traced: true, met: null },
      'stopped',
      'Traced: the foot clears everything.',
    );
  return halted(
    { ...state, needle: touched.at, traced: false, met: touched.name },
    'foot-touches',
    `The foot touches the ${touched.name}: stopped there.`,
  );
};

function whyNotStart(job: PracticeJob, state: PracticeState): KeyOutcome | null {
  const stop = job.stops[state.stop];
  if (!stop) return refusePress('finished', 'It is all stitched.');
  if (!state.needleWhole)
    return refusePress('needle-broken', 'The needle is broken: power off, then a new one.');
  if (state.bobbinM < job.bobbinMPerStitch) return refusePress('no-bobbin', 'The bobbin is empty.');
  if (job.machine.needles === 1 && state.threaded !== state.stop)
    return refusePress('wrong-thread', `Thread ${stop.name} first.`);
  return whyOutside(job, state) ?? whyHoopNotReady(job, state);
}

export const start: Press<'start'> = (job, state) =>
  whyNotStart(job, state) ??
  done({ ...state, running: true, met: null }, `Stitching ${job.stops[state.stop]?.name ?? ''}.`);

/** Where a stitch of a stop comes down, counted from 0, about the file's centre. */
function pointOf({ path, stitches, cutBefore }: PracticeJob['stops'][number], stitch: number): Point {
  if (cutBefore) return path[stitch] ?? ORIGIN;
  return alongPath(path, stitches > 1 ? stitch / (stitches - 1) : 0);
}

/** One more stitch, or what stops the machine in place of it. */
function oneStitch(job: PracticeJob, state: PracticeState, hoop: Hoop): KeyOutcome {
  const stop = job.stops[state.stop];
  if (!stop) return halted(state, 'finished', 'Finished.');
  if (state.bobbinM < job.bobbinMPerStitch)
    return halted({ ...state, bobbinM: 0 }, 'bobbin-out', `The bobbin is empty in ${stop.name}.`);
  const needle = keyedPoint(pointOf(stop, state.done), state);
  const next = {
    ...state,
    needle,
    done: state.done + 1,
    bobbinM: state.bobbinM - job.bobbinMPerStitch,
    seconds: state.seconds + 60 / job.machine.stitchesPerMinute,
  };
  const struck = struckAt(needle, hoop, job);
  if (struck)
    return halted(
      { ...next, needleWhole: false, met: struck },
      'needle-broken',
      `The needle broke on the ${struck}.`,
    );
  return next.done < stop.stitches ? done(next, `Stitching ${stop.name}.`) : afterStop(job, next);
}

/** What follows a colour's last stitch: the end, hands at the cloth, a stop to thread the next, or the next needle by itself. */
function afterStop(job: PracticeJob, state: PracticeState): KeyOutcome {
  const ended = job.stops[state.stop];
  const stop = job.stops[state.stop + 1];
  const threaded = stop?.sameThread ? state.stop + 1 : state.threaded;
  const next = { ...state, stop: state.stop + 1, done: 0, threaded };
  if (!stop) return halted(next, 'finished', 'Finished.');
  if (ended?.handsAfter)
    return halted(next, 'hands-at-cloth', `Stopped for your hands: ${ended.handsAfter}. Then ${stop.name}.`);
  if (stop.sameThread && job.machine.needles === 1)
    return halted(next, 'colour-change', `Stop: ${stop.name} is next, in the same thread.`);
  if (job.machine.needles > 1) return done(next, `Stitching ${stop.name}.`);
  return halted(next, 'colour-change', `Colour change: thread ${stop.name}.`);
}

/** Stitch after stitch for some seconds, until something stops it. */
export const sew: Press<'sew'> = (job, state, { seconds }) => {
  const hoop = hoopNamed(job, state.onId);
  if (!state.running || !hoop) return refusePress('not-running', 'The machine stands still.');
  const count = Math.max(1, Math.round((seconds * job.machine.stitchesPerMinute) / 60));
  let outcome: KeyOutcome = done(state, '');
  for (let i = 0; i < count; i++) {
    const next = oneStitch(job, outcome.state, hoop);
    if (!next.ok) return next;
    outcome = next;
    if (!outcome.state.running) break;
  }
  return outcome;
};
