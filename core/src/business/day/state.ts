import type { Day, Work, Worth } from './work';

/** How far a piece is: its hooping is to come, it is in its hoop, on its machine, off it. */
export const STAGE = { WAITING: 0, HOOPED: 1, MOUNTED: 2, OFF: 3 } as const;

/** What is on a machine: a piece at one of its runs, and when that run ends; no piece where it is free. */
export interface OnMachine {
  piece: number;
  run: number;
  endsS: number;
}

/** The day so far, after some moves. */
export interface State {
  stage: Uint8Array;
  /** The hoop each piece is in. */
  held: readonly (string | null)[];
  on: readonly OnMachine[];
  /** What is on the needles of each machine, the last used last. */
  threaded: readonly (readonly string[])[];
  free: Readonly<Record<string, number>>;
  /** When hands are free. */
  handsS: number;
  /**
   * Hands that were idle and did nothing yet: whatever can be put down is done in them, looking back. Of these,
   * `usableS` could also serve what is to be finished by now.
   */
  idleS: number;
  usableS: number;
  /** What is off the machine and still to be finished, seconds of hands. */
  toFinishS: number;
  lateS: number;
  rethreads: number;
}

export const NOBODY: OnMachine = { piece: -1, run: 0, endsS: 0 };

export const workAt = ({ works }: Day, piece: number): Work => {
  const work = works[piece];
  if (!work) throw new Error('assertion failed: every move is of a piece of the day');
  return work;
};

/** How a day begins, with what is begun already. */
export function startOf(day: Day): State {
  const stage = new Uint8Array(day.works.length);
  const held: (string | null)[] = day.works.map(() => null);
  const free: Record<string, number> = { ...day.hoops };
  const on: OnMachine[] = day.machines.map(() => NOBODY);
  let [toFinishS, lateS] = [0, 0];
  for (const begun of day.begun ?? []) {
    const piece = day.works.findIndex(({ id }) => id === begun.id);
    if (piece < 0) continue;
    if (begun.at === 'off') {
      const { finishS, dueS } = workAt(day, piece);
      stage[piece] = STAGE.OFF;
      toFinishS += finishS;
      lateS += dueS === null ? 0 : Math.max(0, finishS - dueS);
      continue;
    }
    held[piece] = begun.hoop;
    free[begun.hoop] = (free[begun.hoop] ?? 0) - 1;
    stage[piece] = begun.at === 'machine' ? STAGE.MOUNTED : STAGE.HOOPED;
    if (begun.at === 'machine')
      on[workAt(day, piece).machine] = { piece, run: begun.run, endsS: begun.leftS };
  }
  return {
    stage,
    held,
    on,
    threaded: day.machines.map(({ threaded }) => threaded),
    free,
    handsS: 0,
    idleS: 0,
    usableS: 0,
    toFinishS,
    lateS,
    rethreads: 0,
  };
}

export const isPieceDone = ({ stage }: State): boolean => stage.every((one) => one === STAGE.OFF);

/** What a finished day is worth: finishing that idle hands could not do comes at its end. */
export const worthOf = ({ lateS, handsS, toFinishS, usableS }: State): Worth => ({
  lateS,
  endS: handsS + toFinishS - usableS,
});

/** Idle hands up to a time: they are counted, to be used looking back. */
export function idledTo(state: State, toS: number): State {
  const idle = Math.max(0, toS - state.handsS);
  return {
    ...state,
    handsS: state.handsS + idle,
    idleS: state.idleS + idle,
    usableS: state.usableS + Math.min(idle, state.toFinishS - state.usableS),
  };
}
