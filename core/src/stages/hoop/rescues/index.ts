import type { Mend } from '../../../model/finding';
import type { HoopVerdict } from '../judgeHoop';
import { moveCloser } from './moveCloser';
import { nextHoop } from './nextHoop';
import { openSeam } from './openSeam';
import { rehoop } from './rehoop';
import { type HoopFault, type HoopState, type Rescue, type RescueQuestion, works } from './rescue';
import { shiftInField } from './shiftInField';
import { shrink } from './shrink';
import { splitIt } from './splitIt';
import { turnHoop } from './turnHoop';

/** The rescues in the order people try them; a new one is a file here and its name in this list. */
const RESCUES: readonly ((asked: RescueQuestion) => Rescue[])[] = [
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

/**
 * Ways to make the chosen hoop work, or to leave it; with none chosen they speak of the nearest. Where no hoop of the shelf
 * takes the design as things are, what the hoop in hand cannot do is asked of the others, those a person would try first.
 */
export function rescuesFor(state: HoopState, nearest?: HoopVerdict): Rescues {
  const { laid, method } = state;
  const own = laid?.verdict ?? nearest;
  const others = state.verdicts.some((one) => works(one, method))
    ? []
    : state.verdicts.filter((one) => one !== own);
  const all = RESCUES.flatMap((rescue) => {
    for (const verdict of own ? [own, ...others] : []) {
      const isAnother = verdict !== own;
      const found = rescue({ ...state, laid: isAnother ? null : laid, verdict, isAnother });
      if (found.length > 0) return found;
    }
    return [];
  });
  return {
    from: (fault) =>
      all.filter(({ removes }) => removes.includes(fault)).map(({ removes: _, ...mend }): Mend => mend),
  };
}
