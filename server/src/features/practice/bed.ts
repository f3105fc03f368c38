import {
  obeyPress,
  type PracticeAnswer,
  type PracticeCommand,
  type PracticeJob,
  type PracticeState,
  practiceStart,
} from '@zt/core/table/practice/index';
import { createRuns } from '../runs';

/** One run of a ticket on the practice machine, as it stands. */
export interface PracticeBed {
  run: string;
  job: PracticeJob;
  state: PracticeState;
}

/** The practice machine of this server: a bed of its own for each run. */
export interface Beds {
  lay: (job: PracticeJob) => PracticeBed;
  laid: (run: string) => PracticeBed | null;
  press: (run: string, command: PracticeCommand) => PracticeAnswer | null;
}

/** Beds by run; `newRun` names each one. */
export function createBeds(newRun: () => string): Beds {
  const beds = createRuns<PracticeBed>();
  return {
    lay: (job) => beds.put({ run: newRun(), job, state: practiceStart(job) }),
    laid: beds.get,
    press: (run, command) => {
      const now = beds.get(run);
      if (!now) return null;
      const answer = obeyPress(now.job, now.state, command);
      beds.put({ ...now, state: answer.state });
      return answer;
    },
  };
}
