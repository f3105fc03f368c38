import { count, type Phrase, phrase } from '../../base/units/phrase';
import type { DaySheet } from '../../model/day';
import type { Shelf } from '../../model/shelf';
import { clockDay, clockTime, endOfDay } from './calendar';
import type { DayNote, DayPlan, PlannedPiece } from './dayPlan';

type Bare = Omit<DayPlan, 'notes'>;

const byTicket = (works: readonly PlannedPiece[]): PlannedPiece[][] => {
  const tickets = new Map<string, PlannedPiece[]>();
  for (const work of works) tickets.set(work.ticketId, [...(tickets.get(work.ticketId) ?? []), work]);
  return [...tickets.values()];
};

/** Tickets that are not done on the day they are promised for: how many of their pieces, and when the last is. */
function lateNotes({ works, zone }: Bare): DayNote[] {
  return byTicket(works).flatMap((pieces): DayNote[] => {
    const [{ title = '', due = null, ticketId = '' } = {}] = pieces;
    if (due === null) return [];
    const until = endOfDay(due, zone);
    const late = pieces.filter(({ doneMs }) => doneMs !== null && doneMs > until);
    if (late.length === 0) return [];
    const last = Math.max(...late.map(({ doneMs }) => doneMs ?? 0));
    const which =
      pieces.length === 1 ? phrase`is` : phrase`${count(late.length)} of ${count(pieces.length)} are`;
    const text = phrase`${title}: ${which} done after ${clockDay(until - 1, zone)}, for which it is promised; the last on ${clockDay(last, zone)} at ${clockTime(last, zone)}.`;
    return [{ code: 'late', severity: 'warn', text, ticketId }];
  });
}

/** Pieces that are in their hoops when the shop closes, and still are when it opens: rings mark cloth that they hold for long. */
function overnightNotes({ hoops, works, open, zone }: Bare): DayNote[] {
  const nights = open.flatMap(({ toMs }, i) => {
    const next = open[i + 1];
    return next && clockDay(next.fromMs, zone) !== clockDay(toMs, zone)
      ? [{ toMs, fromMs: next.fromMs }]
      : [];
  });
  return nights.flatMap((night) =>
    works.flatMap((work, i): DayNote[] => {
      const own = hoops.filter((one) => one.work === i);
      const isHeld =
        own.some(({ toMs }) => toMs === night.toMs) && own.some(({ fromMs }) => fromMs === night.fromMs);
      if (!isHeld) return [];
      const text = phrase`No. ${count(work.no)}, ${work.name}, stays in its hoop overnight, from ${clockDay(night.toMs, zone)}: loosen the ring if the cloth marks.`;
      return [{ code: 'overnight', severity: 'warn', text, ticketId: work.ticketId }];
    }),
  );
}

function goneNotes({ works }: Bare, { stands }: DaySheet, { hoops }: Shelf): DayNote[] {
  return works.flatMap((work): DayNote[] => {
    const stand = stands[work.id];
    if (!stand || !('hoop' in stand) || hoops.some(({ id }) => id === stand.hoop)) return [];
    const text = phrase`${work.name} is in a hoop that is not on the shelf any more: it is planned as it is, and the hoop is not used again.`;
    return [{ code: 'hoop-gone', severity: 'warn', text, ticketId: work.ticketId }];
  });
}

/** Everything that is to be known of a plan, what stands in the way first. */
export function notesOf(
  plan: Bare,
  { isShut, cannot, sheet, shelf }: { isShut: boolean; cannot: string | null; sheet: DaySheet; shelf: Shelf },
): DayNote[] {
  const note = (code: DayNote['code'], severity: DayNote['severity'], text: Phrase): DayNote => ({
    code,
    severity,
    text,
    ticketId: null,
  });
  const isLong = plan.works.length > 0 && plan.endMs === null && !isShut && !cannot;
  return [
    ...(isShut
      ? [
          note(
            'shut',
            'stop',
            phrase`The shop is closed on every day ahead: see the opening hours in House rules.`,
          ),
        ]
      : []),
    ...(cannot ? [note('cannot', 'stop', phrase`${cannot}`)] : []),
    ...(isLong
      ? [note('too-long', 'warn', phrase`Not all of it fits into the opening hours of the days ahead.`)]
      : []),
    ...lateNotes(plan),
    ...overnightNotes(plan),
    ...goneNotes(plan, sheet, shelf),
    ...(plan.beyond > 0
      ? [
          note(
            'beyond',
            'note',
            phrase`${count(plan.beyond)} more pieces come after these: they are planned as these are done.`,
          ),
        ]
      : []),
  ];
}
