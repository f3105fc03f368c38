import {
  obey,
  type PracticeAnswer,
  type PracticeCommand,
  type PracticeJob,
  type PracticeState,
  practiceStart,
} from '@zt/core/uses/practice/index';

/** One run of a ticket on the practice machine, as it stands. */
export interface PracticeBed {
  run: string;
  job: PracticeJob;
  state: PracticeState;
}

/** The practice machine of this server: a bed of its own for each run. A stand-in, so nothing is kept past a restart. */
export interface Beds {
  lay: (job: PracticeJob) => PracticeBed;
  laid: (run: string) => PracticeBed | null;
  press: (run: string, command: PracticeCommand) => PracticeAnswer | null;
}

/** So many runs are kept; of more, the one that was pressed longest ago is cleared. */
const MOST_RUNS = 40;

/** Beds by run; `newRun` names each one. */
export function createBeds(newRun: () => string): Beds {
  const beds = new Map<string, PracticeBed>();
  const put = (laid: PracticeBed): PracticeBed => {
    beds.delete(laid.run);
    beds.set(laid.run, laid);
    const [oldest] = beds.keys();
    if (beds.size > MOST_RUNS && oldest !== undefined) beds.delete(oldest);
    return laid;
  };
  return {
    lay: (job) => put({ run: newRun(), job, state: practiceStart(job) }),
    laid: (run) => beds.get(run) ?? null,
    press: (run, command) => {
      const now = beds.get(run);
      if (!now) return null;
      const answer = obey(now.job, now.state, command);
      put({ ...now, state: answer.state });
      return answer;
    },
  };
}
