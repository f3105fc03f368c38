import type { Phrase } from '../../base/units/phrase';

/** A stretch of stitching: the machine by itself, then hands at it, seconds; of the last one hands may have nothing to do. */
export interface Run {
  aloneS: number;
  handsS: number;
  /** What hands do at its end: a thread is changed, a cloth laid. */
  what?: Phrase;
}

/** One piece to be made on a day, in seconds of hands and machine. */
export interface Work {
  id: string;
  name: string;
  /** Press, measure, mark: can be put down for a moment. */
  prepareS: number;
  hoopS: number;
  /** The hoops that it may be held in, any of one kind being as good as another: kinds, the best first. */
  hoops: readonly string[];
  /** On which machine it is stitched. */
  machine: number;
  /** Put on the machine, threads not counted. */
  mountS: number;
  runs: readonly Run[];
  /** Its threads in the order they are stitched. */
  threads: readonly string[];
  takeOffS: number;
  /** Trim, press, fold: can be put down for a moment. */
  finishS: number;
  /** When it is to be handed over, seconds from the beginning of the plan; null for any time. */
  dueS: number | null;
  /** What must be off its machine before this is hooped: the hooping before of the same piece. */
  after?: string;
}

/** A machine of the day: its needles, what is threaded now, and what threading one takes, seconds. */
export interface DayMachine {
  needles: number;
  threaded: readonly string[];
  threadS: number;
}

/** Where a piece stands that is begun already. */
export type Begun =
  | { id: string; at: 'hooped'; hoop: string }
  /** Off its machine: only finishing is left. */
  | { id: string; at: 'off' }
  /** On its machine: at a run, of which so much is still to be stitched. */
  | { id: string; at: 'machine'; hoop: string; run: number; leftS: number };

/** A day to be planned, for one pair of hands. */
export interface Day {
  works: readonly Work[];
  machines: readonly DayMachine[];
  /** How many hoops there are of each kind. */
  hoops: Readonly<Record<string, number>>;
  begun?: readonly Begun[];
  /** Pieces that go onto their machine in this order, before all others. */
  pinned?: readonly string[];
  /** When the shop closes for the night, seconds, rising: no piece is hooped that could not be off before. */
  closesS?: readonly number[];
}

/** How good a plan is: seconds past the promised times, all pieces together; then when all is done. */
export interface Worth {
  lateS: number;
  endS: number;
}

export const isBetter = (a: Worth, b: Worth): boolean =>
  a.lateS < b.lateS - EPSILON || (a.lateS < b.lateS + EPSILON && a.endS < b.endS - EPSILON);

/** Times nearer than this are one and the same, seconds. */
export const EPSILON = 1e-6;

/** Why a day cannot be planned; null where it can. */
export function whyNotPlanned({ works, machines, hoops }: Day): string | null {
  for (const { name, machine, hoops: kinds, runs } of works) {
    if (!machines[machine]) return `“${name}” has no machine.`;
    if (!kinds.some((kind) => (hoops[kind] ?? 0) > 0))
      return `“${name}” has no hoop: the one it was planned with is not on the shelf any more.`;
    if (runs.length === 0) return `“${name}” has nothing to stitch.`;
  }
  return null;
}

/** What a piece is on its machine for, hands at it counted, seconds. */
export const stitchS = ({ runs }: Work): number =>
  runs.reduce((sum, { aloneS, handsS }) => sum + aloneS + handsS, 0);

/** What is still to come of a piece on its machine once it stitches a run no more by itself, seconds. */
export const restS = ({ runs }: Work, run: number): number =>
  runs.reduce((sum, { aloneS, handsS }, i) => sum + (i > run ? aloneS : 0) + (i >= run ? handsS : 0), 0);
