import { endOfDay, openFrom, WorkingTime } from './calendar';
import type { DayPlan, PlannedPiece } from './dayPlan';
import { type DayAsked, dayFromTickets } from './fromTickets';
import { doneOf, finishedInTime, worthOfTapes } from './inTime';
import { notesOf } from './notes';
import type { PieceWork } from './pieceWorks';
import { gapOf, type Solved, type SolveProgress, solveDay } from './solve';
import type { Tapes } from './stretches';
import { tapesOf } from './tapes';
import { isBetter, whyNotPlanned } from './work';

/** How far planning has come: tickets read, or ways looked at. */
export type DayProgress = { read: number; of: number } | SolveProgress;

const NOTHING: Solved = {
  moves: [],
  worth: { lateS: 0, endS: 0 },
  boundS: 0,
  boundLateS: 0,
  isExact: true,
  rethreads: 0,
};

/** Pieces numbered in the order they go into their hoops; what is in one already comes first. */
function numbered(works: readonly PieceWork[], { hoops }: Tapes): number[] {
  const from = works.map((_, work) => hoops.find(({ piece }) => piece === work)?.fromS ?? -1);
  const order = works.map((_, work) => work).sort((a, b) => (from[a] ?? 0) - (from[b] ?? 0) || a - b);
  const numbers: number[] = [];
  for (const [i, work] of order.entries()) numbers[work] = i + 1;
  return numbers;
}

/** Tells of each stretch, one after the other, whether it goes on with what was begun before. */
function goingOn() {
  const begun = new Set<string>();
  return <T extends { one: string }>({ one, ...stretch }: T) => {
    const goesOn = begun.has(one);
    begun.add(one);
    return { ...stretch, goesOn };
  };
}

/**
 * Plans tickets from now on, in the hours in which the shop is open: exactly for a few pieces, else well, with how far it is
 * at most from the best. Yields how far it has come; once it is told that it took long enough, it ends with the best it has.
 */
export function* planDay(
  asked: DayAsked & { zone: string },
): Generator<DayProgress, DayPlan, boolean | undefined> {
  const { nowMs, rules, shelf, zone, tickets } = asked;
  const time = new WorkingTime(openFrom(rules.hours, nowMs, zone));
  const reading = dayFromTickets(asked, (due) => time.until(endOfDay(due, zone)));
  let read = reading.next();
  while (!read.done) {
    yield { read: read.value, of: tickets.length };
    read = reading.next();
  }
  const { works, day: open, notPlanned, beyond } = read.value;
  const day = { ...open, closesS: time.closes() };
  const isShut = time.totalS === 0;
  const cannot = isShut ? null : whyNotPlanned(day);
  const solved = isShut || cannot ? NOTHING : yield* solveDay(day);
  const tapes = tapesOf(day, finishedInTime(day, solved.moves));
  const worth = worthOfTapes(day, tapes);
  const numbers = numbered(works, tapes);
  const onClock = <T extends { fromS: number; toS: number }, U>(stretches: readonly T[], of: (one: T) => U) =>
    stretches
      .flatMap((one) => time.onClock(one.fromS, one.toS).map((at) => ({ ...at, ...of(one) })))
      .sort((a, b) => a.fromMs - b.fromMs);
  const hoopName = new Map(shelf.hoops.map(({ id, name }) => [id, name]));
  const planned = works.map(
    (work, i): PlannedPiece => ({
      ...work,
      no: numbers[i] ?? i + 1,
      doneMs: time.endsAt(doneOf(tapes, i)),
      hoopName: hoopName.get(tapes.hoops.find(({ piece }) => piece === i)?.hoop ?? work.hoops[0] ?? '') ?? '',
    }),
  );
  const endMs = works.length === 0 || isShut || cannot ? null : time.endsAt(tapes.endS);
  const plan: Omit<DayPlan, 'notes'> = {
    fromMs: nowMs,
    zone,
    works: planned,
    hands: onClock(tapes.hands, ({ what, piece, threads, run }) => ({
      what,
      work: piece,
      doing: (run === undefined ? null : works[piece]?.runs[run]?.what) ?? null,
      threads: threads.map((thread) => works[piece]?.called[thread] ?? thread),
      one: `${what} ${piece} ${run}`,
    })).map(goingOn()),
    machines: shelf.machines.flatMap(({ id, name }, machine) => {
      const on = onClock(tapes.machines[machine] ?? [], ({ piece, by }) => ({ work: piece, by }));
      return on.length > 0 ? [{ id, name, on }] : [];
    }),
    hoops: onClock(tapes.hoops, ({ piece, hoop }) => ({ work: piece, hoop })),
    open: time.open.filter(({ fromMs }) => endMs !== null && fromMs < endMs),
    endMs,
    // What is finished later than it could be by itself was not told apart in the search.
    isExact: solved.isExact && !isBetter(solved.worth, worth),
    gap: gapOf({ ...solved, worth }),
    lateS: worth.lateS,
    leastLateS: solved.boundLateS,
    rethreads: solved.rethreads,
    notPlanned,
    beyond,
  };
  return { ...plan, notes: notesOf(plan, { isShut, cannot, sheet: asked.sheet, shelf }) };
}
