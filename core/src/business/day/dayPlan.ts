import type { Phrase } from '../../base/units/phrase';
import { isoOfMs, type Open } from './calendar';
import type { NotPlanned, PieceWork } from './pieceWorks';
import type { HandsDo } from './stretches';

/** A piece of a plan, with its number: in the order in which pieces go into their hoops. */
export interface PlannedPiece extends PieceWork {
  no: number;
  /** When the last of it is done; null where that lies further ahead than is looked. */
  doneMs: number | null;
  hoopName: string;
}

/** What hands do on the clock. A work is told by its place in the plan. */
export interface HandsOn extends Open {
  what: HandsDo;
  work: number;
  /** Threads that are put on, as they are called. */
  threads: string[];
  /** What is done at the machine: the thread that is changed, the cloth that is laid; null where it says itself. */
  doing: Phrase | null;
  /** It was begun before, and put down meanwhile or left over a break. */
  goesOn: boolean;
}
export interface MachineOn extends Open {
  work: number;
  by: 'machine' | 'hands';
}
export interface HoopOn extends Open {
  work: number;
  hoop: string;
}

/** The work of tickets planned from a time on. Times are ms since 1970, on the clocks of the shop’s zone. */
export interface DayPlan {
  fromMs: number;
  zone: string;
  works: PlannedPiece[];
  hands: HandsOn[];
  /** One tape for each machine that anything is stitched on. */
  machines: { id: string; name: string; on: MachineOn[] }[];
  hoops: HoopOn[];
  /** Stretches in which the shop is open, from the first to the last that is worked in. */
  open: Open[];
  /** When all is done; null where that lies further ahead than is looked, or nothing is to be done. */
  endMs: number | null;
  /** No plan is done sooner; how much longer this one takes at most, in parts of it. */
  isExact: boolean;
  gap: number;
  /** How late pieces are, all together, seconds of work; and how late at least in any order. */
  lateS: number;
  leastLateS: number;
  /** Threads put on in all. */
  rethreads: number;
  notPlanned: NotPlanned[];
  /** Pieces beyond those that are planned in one go. */
  beyond: number;
  notes: DayNote[];
}

/** Something that is to be known of a plan: where it stands in the way, it is a stop. */
export interface DayNote {
  code: 'shut' | 'cannot' | 'late' | 'overnight' | 'hoop-gone' | 'too-long' | 'beyond';
  severity: 'stop' | 'warn' | 'note';
  text: Phrase;
  ticketId: string | null;
}

/** The days of the calendar on which a plan is worked, ISO, with when the shop is open on each. */
export function daysOf({ open, zone }: Pick<DayPlan, 'open' | 'zone'>): { day: string; open: Open[] }[] {
  const days = new Map<string, Open[]>();
  for (const one of open) {
    const day = isoOfMs(one.fromMs, zone);
    days.set(day, [...(days.get(day) ?? []), one]);
  }
  return [...days].map(([day, stretches]) => ({ day, open: stretches }));
}

/** When each piece is done, by ticket and place; of one that is hooped more than once, when the last of it is. */
function doneByPiece(works: readonly PlannedPiece[]): number[] {
  const done = new Map<string, number>();
  for (const { ticketId, piece, doneMs } of works) {
    const id = `${ticketId} ${piece}`;
    done.set(id, Math.max(done.get(id) ?? 0, doneMs ?? Number.POSITIVE_INFINITY));
  }
  return [...done.values()];
}

/** How many pieces a plan has, or how many of them are done between two times; of one that is hooped more than once, one. */
export const countPieces = ({ works }: Pick<DayPlan, 'works'>, between?: Open): number =>
  doneByPiece(works).filter((ms) => !between || (ms > between.fromMs && ms <= between.toMs)).length;
