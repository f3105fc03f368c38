import {
  obey,
  type PracticeAnswer,
  type PracticeCommand,
  type PracticeJob,
  type PracticeState,
  practiceStart,
} from '@zt/core/practice/index';

/** The one practice machine of this server, as it stands: a stand-in, so nothing of it is kept past a restart. */
export interface Bed {
  lay: (job: PracticeJob) => Laid;
  laid: () => Laid | null;
  press: (command: PracticeCommand) => PracticeAnswer | null;
}
export interface Laid {
  job: PracticeJob;
  state: PracticeState;
}

export function createBed(): Bed {
  let now: Laid | null = null;
  return {
    lay: (job) => {
      now = { job, state: practiceStart(job) };
      return now;
    },
    laid: () => now,
    press: (command) => {
      if (!now) return null;
      const answer = obey(now.job, now.state, command);
      now = { ...now, state: answer.state };
      return answer;
    },
  };
}
