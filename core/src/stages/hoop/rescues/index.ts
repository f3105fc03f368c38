import type { Mend } from '../../../model/finding';
import type { HoopVerdict } from '../judgeHoop';
import { moveCloser } from './moveCloser';
import { nextHoop } from './nextHoop';
import { openSeam } from './openSeam';
import { rehoop } from './rehoop';
import type { Asked, HoopFault, HoopState, Rescue } from './rescue';
import { shiftInField } from './shiftInField';
import { shrink } from './shrink';
import { splitIt } from './splitIt';
import { turnHoop } from './turnHoop';

/** The rescues in the order people try them; a new one is a file here and its name in this list. */
const RESCUES: readonly ((asked: Asked) => Rescue[])[] = [
  openSeam,
  turnHoop,
  moveCloser,
  shiftInField,
  shrink,
  nextHoop,
  rehoop,
  splitIt,
];

/** Ways out of a hoop's faults, in the order people try them, each with its cost and with what is gone after it. */
export interface Rescues {
  /** Those after which this fault is gone. */
  from: (fault: HoopFault) => Mend[];
}

/** Ways to make the chosen hoop work, or to leave it; with none chosen they speak of the nearest. */
export function rescuesFor(state: HoopState, nearest?: HoopVerdict): Rescues {
  const verdict = state.laid?.verdict ?? nearest;
  const all = verdict ? RESCUES.flatMap((rescue) => rescue({ ...state, verdict })) : [];
  return {
    from: (fault) =>
      all.filter(({ removes }) => removes.includes(fault)).map(({ removes: _, ...mend }): Mend => mend),
  };
}
