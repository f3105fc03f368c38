import { say } from '../../base/units/phrase';
import type { Ticket } from '../../model/ticket';
import { dayAsked, dueOn, plannedDay } from '../../testing/dayAsked';
import { exampleA } from '../../testing/samples';
import { expectSound, solved } from '../../testing/soundDay';
import { variedDay } from '../../testing/variedDays';
import { doneOf, finishedInTime, worthOfTapes } from './inTime';
import { tapesOf } from './tapes';
import type { Day, Work } from './work';
import { sayWorth } from './worth';

const MM = { system: 'mm' } as const;

/** Hands are never free: a piece takes them longer to hoop than it takes the machine to stitch. */
const busyHands = (pieces: number, dueS: (piece: number) => number | null): Day => ({
  works: Array.from({ length: pieces }, (_, i): Work => {
    const name = `piece-${i + 1}`;
    return {
      id: name,
      name,
      prepareS: 60,
      hoopS: 300,
      hoops: ['a'],
      machine: 0,
      mountS: 60,
      runs: [{ aloneS: 120, handsS: 0 }],
      threads: ['navy'],
      takeOffS: 60,
      finishS: 240,
      dueS: dueS(i),
    };
  }),
  machines: [{ needles: 1, threaded: ['navy'], threadS: 75 }],
  hoops: { a: 2 },
});

it('what is promised is finished in time, though hands never rest', () => {
  // Off after 60 + 300 + 60 + 120 + 60 = 600 at the earliest, and 240 to finish.
  const day = busyHands(8, (piece) => (piece === 0 ? 1400 : null));
  const { moves, worth } = solved(day);
  expect(worth.lateS).toBe(0);
  const [put, kept] = [tapesOf(day, moves), tapesOf(day, finishedInTime(day, moves))];
  expect(doneOf(put, 0)).toBeGreaterThan(1400);
  expect(doneOf(kept, 0)).toBeLessThanOrEqual(1400);
  expectSound(day, kept, { worth: worthOfTapes(day, kept) });
  // Hands do the same, in another order.
  expect(kept.endS).toBeCloseTo(put.endS, 6);
});

describe('of varied days', () => {
  const days = Array.from({ length: 16 }, (_, i) => variedDay((i + 1) * 59, 3 + (i % 4)));
  const planned = days.map((day) => ({ day, ...solved(day) }));

  it('none is later for it, and never two things are in one pair of hands', () => {
    for (const { day, moves, worth } of planned) {
      const [put, kept] = [tapesOf(day, moves), tapesOf(day, finishedInTime(day, moves))];
      expectSound(day, put, { worth });
      expectSound(day, kept, { worth: worthOfTapes(day, kept) });
      expect(worthOfTapes(day, kept).lateS).toBeLessThanOrEqual(worthOfTapes(day, put).lateS + 1e-6);
      // What the search says of lateness is the least there can be.
      expect(worthOfTapes(day, kept).lateS).toBeGreaterThanOrEqual(worth.lateS - 1e-6);
    }
  });

  it('hands rest only where nothing is left to prepare or to finish', () => {
    for (const { day, moves } of planned) {
      const { hands } = tapesOf(day, moves);
      hands.slice(1).forEach((next, i) => {
        const restFromS = hands[i]?.toS ?? 0;
        if (next.fromS - restFromS < 1e-6) return;
        const later = hands.filter(({ fromS }) => fromS >= restFromS);
        expect(later.filter(({ what }) => what === 'prepare')).toEqual([]);
        for (const { piece } of later.filter(({ what }) => what === 'finish')) {
          const off = hands.find((one) => one.piece === piece && one.what === 'take off');
          expect(off?.toS ?? 0).toBeGreaterThan(restFromS);
        }
      });
    }
  });
});

it('what is off its machine is finished before pieces are prepared that come much later', () => {
  const of = (ticket: Ticket, id: string, quantity: number): Ticket => ({
    ...ticket,
    id,
    piece: { ...ticket.piece, quantity },
  });
  const plan = plannedDay(
    dayAsked([
      ...dueOn(null, of(exampleA(), 'ticket-for-later', 30)),
      ...dueOn('2026-11-27', of(exampleA(), 'ticket-due-now', 3)),
    ]),
  );
  expect(plan.notes.filter(({ code }) => code === 'late')).toEqual([]);
  expect(plan.lateS).toBe(0);
  expect(say(sayWorth(plan), MM)).not.toMatch(/Late/);
  plan.works.forEach(({ doneMs }, work) => {
    const off = plan.hands.find((one) => one.work === work && one.what === 'take off');
    const opens = plan.open.filter(({ fromMs }) => fromMs > (off?.toMs ?? 0) && fromMs < (doneMs ?? 0));
    // Within half an hour of work, whatever breaks and nights lie between.
    if (opens.length === 0) expect((doneMs ?? 0) - (off?.toMs ?? 0)).toBeLessThan(30 * 60_000);
  });
});
