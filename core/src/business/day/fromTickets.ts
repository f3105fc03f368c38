import { numberFor } from '../../catalogue/houseNumber';
import { STITCH_NUMBERS } from '../../catalogue/numbers/stitch';
import type { DaySheet, DayTicket, Stand } from '../../model/day';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import { hoopKinds, type NotPlanned, type PieceWork, pieceWorks, type WorksQuestion } from './pieceWorks';
import type { Begun, Day, Work } from './work';

/** So many pieces are planned in one go. */
export const MOST_WORKS = 60;

/** The work of a day out of tickets, and what of them is not planned. */
export interface DayOfTickets {
  works: PieceWork[];
  day: Day;
  notPlanned: NotPlanned[];
  /** Pieces beyond those that are planned in one go. */
  beyond: number;
}

export interface DayAsked {
  tickets: readonly DayTicket[];
  sheet: DaySheet;
  shelf: Shelf;
  rules: HouseRules;
  nowMs: number;
}

/** What is left of a run that began some time ago, seconds. */
const leftOf = ({ runs }: Work, run: number, elapsedS: number): number =>
  Math.max(0, (runs[run]?.aloneS ?? 0) - Math.max(0, elapsedS));

/** Where a piece stands as a plan begins from it; null where its hooping is still to come. */
function begunAt(
  work: Work,
  stand: Stand,
  { nowMs, kinds }: { nowMs: number; kinds: WorksQuestion['kinds'] },
): Begun | null {
  if (stand.at === 'prepared' || stand.at === 'finished') return null;
  const { id } = work;
  if (stand.at === 'off') return { id, at: 'off' };
  const hoop = kinds.get(stand.hoop) ?? stand.hoop;
  if (stand.at === 'hooped') return { id, at: 'hooped', hoop };
  const run = Math.min(stand.run, work.runs.length);
  const elapsedS = (nowMs - stand.sinceMs) / 1000;
  return { id, at: 'machine', hoop, run, leftS: leftOf(work, run, elapsedS) };
}

/**
 * Of two pieces that are said to be on one machine the one that was put on last is; the other was taken off it, whoever
 * did not say so.
 */
function oneOnEach(
  begun: readonly Begun[],
  works: readonly PieceWork[],
  stands: DaySheet['stands'],
): Begun[] {
  const machineOf = new Map(works.map(({ id, machine }) => [id, machine]));
  const sinceMs = (id: string): number => stands[id]?.sinceMs ?? 0;
  return begun.map((one) => {
    const isOff =
      one.at === 'machine' &&
      begun.some(
        (other) =>
          other !== one &&
          other.at === 'machine' &&
          machineOf.get(other.id) === machineOf.get(one.id) &&
          (sinceMs(other.id) > sinceMs(one.id) ||
            (sinceMs(other.id) === sinceMs(one.id) && other.id > one.id)),
      );
    return isOff ? { id: one.id, at: 'off' } : one;
  });
}

/** A piece that was prepared is not prepared again. */
const asItStands = (work: PieceWork, stand: Stand | undefined): PieceWork =>
  stand?.at === 'prepared' ? { ...work, prepareS: 0 } : work;

function countHoops({ hoops }: Shelf, kinds: WorksQuestion['kinds']): Record<string, number> {
  const count: Record<string, number> = {};
  for (const { id } of hoops) {
    const kind = kinds.get(id) ?? id;
    count[kind] = (count[kind] ?? 0) + 1;
  }
  return count;
}

/** The threads of the piece that was on a machine last, or is: they are still on its needles. */
function threadedNow(works: readonly PieceWork[], { stands }: DaySheet, machine: number): string[] {
  const been = works.filter(
    ({ id, machine: own }) =>
      own === machine && ['machine', 'off', 'finished'].includes(stands[id]?.at ?? ''),
  );
  const [last] = [...been].sort((a, b) => (stands[b.id]?.sinceMs ?? 0) - (stands[a.id]?.sinceMs ?? 0));
  return last ? [...new Set(last.threads)] : [];
}

/** What is begun comes first, then what is pinned, then what is promised first. */
const rankOf = ({ id }: Work, { stands, pinned }: DaySheet): number => {
  const stand = stands[id]?.at;
  if (stand !== undefined && stand !== 'prepared') return 0;
  return pinned.includes(id) ? 1 : 2;
};

/** Of tickets that go on the pieces of others each piece waits until it is off its machine there. */
function onSamePieces(works: readonly PieceWork[], tickets: DayAsked['tickets']): PieceWork[] {
  const sameAs = new Map(tickets.map(({ ticket }) => [ticket.id, ticket.samePieceAs]));
  return works.map((work) => {
    const other = sameAs.get(work.ticketId) ?? null;
    // Two that name one another wait for neither.
    if (other === null || (sameAs.get(other) ?? null) !== null || work.hooping > 0) return work;
    const before = works.findLast(
      ({ ticketId, piece, hooping, hoopings }) =>
        ticketId === other && piece === work.piece && hooping === hoopings - 1,
    );
    return before ? { ...work, after: before.id } : work;
  });
}

/** All pieces that are to be made, ticket by ticket; yields before each how many are read. */
function* worksOfAll(
  { tickets, sheet, ...bench }: Pick<DayAsked, 'tickets' | 'sheet'> & WorksQuestion,
  dueS: (due: string) => number,
): Generator<number, Pick<DayOfTickets, 'works' | 'notPlanned'> & { all: PieceWork[] }> {
  const all: PieceWork[] = [];
  const works: PieceWork[] = [];
  const notPlanned: NotPlanned[] = [];
  for (const [i, one] of tickets.entries()) {
    yield i;
    const made = pieceWorks(one, bench);
    notPlanned.push(...made.notPlanned);
    all.push(...made.works);
    for (const work of made.works) {
      const stand = sheet.stands[work.id];
      if (stand?.at === 'finished') continue;
      works.push(asItStands({ ...work, dueS: work.due === null ? null : dueS(work.due) }, stand));
    }
  }
  const sorted = onSamePieces(works, tickets).sort((a, b) => rankOf(a, sheet) - rankOf(b, sheet));
  return { works: sorted, all, notPlanned };
}

/** Tickets as the work of a day, in the order they are given; yields before each how many are read. */
export function* dayFromTickets(
  { tickets, sheet, shelf, rules, nowMs }: DayAsked,
  dueS: (due: string) => number,
): Generator<number, DayOfTickets> {
  const kinds = hoopKinds(shelf.hoops);
  const read = yield* worksOfAll({ tickets, sheet, shelf, rules, kinds }, dueS);
  const works = read.works.slice(0, MOST_WORKS);
  const said = works.flatMap((work) => {
    const stand = sheet.stands[work.id];
    return (stand && begunAt(work, stand, { nowMs, kinds })) ?? [];
  });
  const begun = oneOnEach(said, works, sheet.stands);
  const threadS = numberFor(rules, STITCH_NUMBERS.changeOneNeedle);
  const machines = shelf.machines.map(({ needles }, machine) => ({
    needles,
    threaded: threadedNow(read.all, sheet, machine).slice(-needles),
    threadS,
  }));
  const pinned = sheet.pinned.filter((id) => works.some((work) => work.id === id));
  const day = { works, machines, hoops: countHoops(shelf, kinds), begun, pinned };
  return { works, day, notPlanned: read.notPlanned, beyond: read.works.length - works.length };
}
