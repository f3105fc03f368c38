import fc from 'fast-check';
import { say } from '../../base/units/phrase';
import { EMPTY_DAY, type Stand, withStand, workId } from '../../model/day';
import { USUAL_HOURS } from '../../model/openingHours';
import type { Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { dayAsked, dueOn, FRIDAY_MS, plannedDay } from '../../testing/dayAsked';
import { named, plainSetting } from '../../testing/named';
import { exampleA, exampleB, measuredTicket, SAMPLE_RULES, SAMPLE_SHELF } from '../../testing/samples';
import { overlaps } from '../../testing/soundDay';
import { clockTime } from './calendar';
import { countPieces, daysOf } from './dayPlan';
import { dayNow, LATE_AFTER_MS, sayHands, sayNow, standAfter } from './now';
import { runsOfCopies } from './pieceWorks';
import { planDay } from './planDay';
import { runPieces } from './runPieces';
import { dayToIcs } from './toIcs';
import { sayWorth } from './worth';

const MM = { system: 'mm' } as const;
const of = (ticket: Ticket, quantity: number): Ticket => ({
  ...ticket,
  piece: { ...ticket.piece, quantity },
});
const clock = (ms: number) => clockTime(ms, 'UTC');
const asStretches = (on: readonly { fromMs: number; toMs: number }[]) =>
  on.map(({ fromMs, toMs }) => ({ fromS: fromMs / 1000, toS: toMs / 1000 }));

it('plans every piece of its tickets by their own plans, by the clock, with one pair of hands', () => {
  const plan = plannedDay(dayAsked(dueOn('2026-11-27', of(exampleA(), 3), exampleB())));
  expect(plan.works.map(({ name }) => name).sort()).toEqual([
    'Guesthouse monogram',
    'Rowing club crest, 1 of 3',
    'Rowing club crest, 2 of 3',
    'Rowing club crest, 3 of 3',
  ]);
  expect(overlaps(asStretches(plan.hands))).toBe(false);
  for (const { on } of plan.machines) expect(overlaps(asStretches(on))).toBe(false);
  expect([...new Set(plan.works.map(({ no }) => no))].sort()).toEqual([1, 2, 3, 4]);
  expect([plan.isExact, plan.gap, plan.notes]).toEqual([true, 0, []]);
  // 6 400 stitches at 650 a minute, one change of 75 s, six trims of 8 s by the machine itself.
  const crest = plan.works.find(({ title }) => title === 'Rowing club crest');
  const stitched = crest?.runs.reduce((sum, run) => sum + run.aloneS + run.handsS, 0) ?? 0;
  expect(stitched / 60).toBeCloseTo(6400 / 650 + 75 / 60 + (6 * 8) / 60, 6);
  expect([crest?.prepareS, crest?.hoopS, crest?.mountS, crest?.takeOffS, crest?.finishS]).toEqual([
    180, 180, 90, 120, 180,
  ]);
});

it('breaks and nights are left out, and nothing is planned while the shop is closed', () => {
  const plan = plannedDay(dayAsked(dueOn(null, of(exampleA(), 30))));
  const isOpen = ({ fromMs, toMs }: { fromMs: number; toMs: number }) =>
    plan.open.some((open) => fromMs >= open.fromMs - 1 && toMs <= open.toMs + 1);
  expect(plan.hands.every(isOpen) && plan.machines[0]?.on.every(isOpen)).toBe(true);
  const days = daysOf(plan);
  expect(days[0]).toMatchObject({ day: '2026-11-27' });
  expect(
    days.map(({ open }) => open.map(({ fromMs, toMs }) => `${clock(fromMs)}–${clock(toMs)}`))[0],
  ).toEqual(['9:00–12:30', '13:30–17:00']);
  // Every piece is done on one of them.
  const doneOn = days.map(({ open }) =>
    countPieces(plan, { fromMs: open[0]?.fromMs ?? 0, toMs: open.at(-1)?.toMs ?? 0 }),
  );
  expect([countPieces(plan), doneOn.reduce((sum, one) => sum + one, 0)]).toEqual([30, 30]);
  // Over the week-end no ring is closed.
  expect(days.length).toBeGreaterThan(1);
  expect(days[1]?.day).toBe('2026-11-30');
  expect(plan.notes.filter(({ code }) => code === 'overnight')).toEqual([]);
});

it('what cannot be done in time is said with how much, and until when', () => {
  const plan = plannedDay(dayAsked(dueOn('2026-11-27', of(exampleA(), 30))));
  const [late] = plan.notes;
  expect(late).toMatchObject({ code: 'late', severity: 'warn', ticketId: 'ticket-example-a' });
  const words = late ? say(late.text, MM) : '';
  expect(words).toMatch(
    /^Rowing club crest: \d+ of 30 are done after Friday 27 November, for which it is promised; the last on Monday 30 November at \d+:\d\d\.$/,
  );
  const last = Math.max(...plan.works.map(({ doneMs }) => doneMs ?? 0));
  expect(words).toContain(clock(last));
  expect(plan.lateS).toBeGreaterThan(0);
});

it('goes on from where pieces stand, and the next stretch of hands is what comes next', () => {
  const crest = of(exampleA(), 2);
  const stands: Record<string, Stand> = {};
  let nowMs = FRIDAY_MS;
  const said: string[] = [];
  for (let i = 0; i < 40; i += 1) {
    const plan = plannedDay(dayAsked(dueOn(null, crest), { nowMs, sheet: { ...EMPTY_DAY, stands } }));
    const now = dayNow(plan, nowMs);
    const { hands, piece } = now;
    if (!hands || !piece) break;
    said.push(say(sayHands(hands, piece), MM));
    nowMs = hands.toMs;
    stands[piece.id] = standAfter(hands.what, piece, { stand: stands[piece.id], nowMs });
  }
  expect(Object.values(stands).map(({ at }) => at)).toEqual(['finished', 'finished']);
  expect(said[0]).toMatch(/^Prepare no\. 1, Rowing club crest, 1 of 2$/);
  expect(said).toContain('Hoop no. 1, Rowing club crest, 1 of 2, 100 × 100 screw hoop');
  expect(said.filter((one) => one.startsWith('Take off'))).toHaveLength(2);
  // Every step of both pieces, and the change of thread between the two colours of each.
  expect(said.filter((one) => one.startsWith('At the machine'))).toEqual([
    'At the machine, no. 1, Rowing club crest, 1 of 2: change to yellow',
    'At the machine, no. 1, Rowing club crest, 2 of 2: change to yellow',
  ]);
});

it('tells how long the machine can be left, what hands do meanwhile, and how late they are', () => {
  const crest = of(exampleA(), 2);
  const stands: Record<string, Stand> = {
    [workId(crest.id, 0)]: { at: 'machine', hoop: 'hoop-100x100', run: 0, sinceMs: FRIDAY_MS - 60_000 },
  };
  const plan = plannedDay(dayAsked(dueOn(null, crest), { sheet: { ...EMPTY_DAY, stands } }));
  const now = dayNow(plan, FRIDAY_MS);
  expect(now.running.map(({ leftMs }) => leftMs / 60_000)).toEqual([
    expect.closeTo(3200 / 650 + (3 * 8) / 60 - 1, 3),
  ]);
  expect(say(sayNow(now, plan, FRIDAY_MS), MM)).toBe(
    'Prepare no. 2, Rowing club crest, 2 of 2 while no. 1 stitches: 5 min left.',
  );
  expect(dayNow(plan, (plan.hands[0]?.toMs ?? 0) + LATE_AFTER_MS).behindMs).toBe(LATE_AFTER_MS);
});

it('what was put down and is gone on with is told as such, once begun', () => {
  const plan = plannedDay(dayAsked(dueOn(null, of(exampleA(), 6))));
  const told = plan.hands.map((one) => {
    const piece = plan.works[one.work];
    return piece ? say(sayHands(one, piece), MM) : '';
  });
  for (const { no } of plan.works) {
    const prepared = told.filter((words) => words.startsWith(`Prepare no. ${no},`));
    expect(prepared.length).toBeGreaterThan(0);
    expect(prepared.map((words) => words.endsWith(', going on'))).toEqual(prepared.map((_, i) => i > 0));
  }
  // Each thread is changed once: it is another one that goes on.
  expect(told.filter((words) => words.startsWith('At the machine') && words.endsWith('going on'))).toEqual(
    [],
  );
});

it('a night away from it is told', () => {
  const nowMs = FRIDAY_MS + 9 * 3600_000;
  const plan = plannedDay(dayAsked(dueOn(null, exampleA()), { nowMs }));
  expect(say(sayNow(dayNow(plan, nowMs), plan, nowMs), MM)).toBe(
    'The shop is closed until Monday 30 November, 9:00. Then: Prepare no. 1, Rowing club crest.',
  );
});

it('a hoop that was sold while a piece is in it is told; and what has no hoop is planned without it', () => {
  const crest = of(exampleA(), 2);
  const stands: Record<string, Stand> = {
    [workId(crest.id, 0)]: { at: 'hooped', hoop: 'hoop-sold', sinceMs: FRIDAY_MS },
  };
  const plan = plannedDay(dayAsked(dueOn(null, crest), { sheet: { ...EMPTY_DAY, stands } }));
  expect(plan.notes.map(({ text }) => say(text, MM))).toEqual([
    'Rowing club crest, 1 of 2 is in a hoop that is not on the shelf any more: it is planned as it is, and the hoop is not used again.',
  ]);
  const none = plannedDay(dayAsked(dueOn(null, crest), { shelf: { ...SAMPLE_SHELF, hoops: [] } }));
  expect(none.notPlanned.map(({ title, why }) => [title, say(why, MM)])).toEqual([
    ['Rowing club crest', 'no hoop is chosen that fits it'],
  ]);
  expect([none.hands, none.endMs]).toEqual([[], null]);
});

it('a shop that never opens is told, and plans nothing', () => {
  const week = Object.fromEntries(Object.keys(USUAL_HOURS.week).map((day) => [day, 'closed']));
  const hours = { ...USUAL_HOURS, week: week as typeof USUAL_HOURS.week };
  const plan = plannedDay(dayAsked(dueOn(null, exampleA()), { rules: { ...SAMPLE_RULES, hours } }));
  expect(plan.notes.map(({ code, severity }) => [code, severity])).toEqual([['shut', 'stop']]);
  expect(plan.hands).toEqual([]);
});

it('hoops that are alike serve alike: with two the next piece is hooped while one stitches', () => {
  const own = SAMPLE_SHELF.hoops.find(({ id }) => id === 'hoop-100x100');
  if (!own) throw new Error('the sample shelf has it');
  const shelf = {
    ...SAMPLE_SHELF,
    hoops: [...SAMPLE_SHELF.hoops, { ...own, id: 'twin', name: 'The other one' }],
  };
  const [one, two] = [SAMPLE_SHELF, shelf].map((with_) =>
    plannedDay(dayAsked(dueOn(null, of(exampleA(), 4)), { shelf: with_ })),
  );
  expect(two?.endMs).toBeLessThan(one?.endMs ?? 0);
});

it('pieces come by size and by name, each planned as it is made', async () => {
  const sizes = [{ name: 'L', count: 2, readings: {} }];
  const sized = { ...exampleA(), piece: { ...exampleA().piece, quantity: 1, sizes } };
  expect(runPieces(sized).map(({ label }) => label)).toEqual(['', 'L', 'L']);
  const setting = await plainSetting();
  const letters = named(exampleA(), ['Io', 'Maximiliana'], { setting });
  const plan = plannedDay(dayAsked(dueOn(null, letters)));
  const [short, long] = ['Io', 'Maximiliana'].map((label) => plan.works.find((work) => work.label === label));
  const stitchS = (work = short) => work?.runs.reduce((sum, { aloneS }) => sum + aloneS, 0) ?? 0;
  expect(stitchS(long)).toBeGreaterThan(2 * stitchS(short));
});

it('more than is planned in one go is counted, what is begun and pinned first', () => {
  const many = of(exampleA(), 90);
  const sheet = {
    ...withStand(EMPTY_DAY, workId(many.id, 80), { at: 'off', sinceMs: FRIDAY_MS }),
    pinned: [workId(many.id, 70)],
  };
  const work = planDay(dayAsked(dueOn(null, many), { sheet }));
  let step = work.next();
  // It took long enough at once: still all of it is planned.
  while (!step.done) step = work.next(true);
  const plan = step.value;
  expect([plan.works.length, plan.beyond]).toEqual([60, 30]);
  expect(plan.works.slice(0, 2).map(({ piece }) => piece)).toEqual([80, 70]);
  expect(plan.notes.map(({ text }) => say(text, MM))).toContain(
    '30 more pieces come after these: they are planned as these are done.',
  );
});

it('a calendar file has an event for each ticket on each day, in universal time', () => {
  const plan = plannedDay(dayAsked(dueOn(null, of(exampleA(), 2), exampleB())));
  const ics = dayToIcs(plan, MM).replace(/\r\n[ \t]/g, '');
  expect(ics.match(/BEGIN:VEVENT/g)).toHaveLength(2);
  expect(ics).toContain('SUMMARY:Rowing club crest: 2 pieces');
  expect(ics).toContain('UID:ticket-example-a-2026-11-27@zealous-thimble');
  expect(ics).toMatch(/DTSTART:20261127T09\d{4}Z/);
  expect(ics).toContain('Hoop no. ');
  expect(plannedDay(dayAsked([])).hands).toEqual([]);
  expect(dayToIcs(plannedDay(dayAsked([])), MM)).toContain('BEGIN:VCALENDAR');
});

it('a second design on the same pieces waits until each is off its machine, and takes no bare piece of its own', () => {
  const crest = of(exampleA(), 2);
  const back = { ...of(exampleA(), 2), id: 'ticket-on-its-back', name: 'Back', samePieceAs: crest.id };
  const plan = plannedDay(dayAsked(dueOn(null, crest, back)));
  for (const piece of [0, 1]) {
    const on = (ticketId: string) =>
      plan.works.findIndex((work) => work.ticketId === ticketId && work.piece === piece);
    const off = plan.hands.find(({ work, what }) => work === on(crest.id) && what === 'take off');
    const hooped = plan.hands.find(({ work, what }) => work === on(back.id) && what === 'hoop');
    expect(hooped?.fromMs).toBeGreaterThanOrEqual(off?.toMs ?? Number.POSITIVE_INFINITY);
  }
});

it('copies follow one another: a piece stays on its machine until the last of them is stitched', () => {
  const [a, b] = [
    { aloneS: 120, handsS: 75 },
    { aloneS: 60, handsS: 0 },
  ];
  expect(runsOfCopies([a, b], 3)).toEqual([a, { aloneS: 180, handsS: 75 }, { aloneS: 180, handsS: 75 }, b]);
  expect(runsOfCopies([b], 4)).toEqual([{ aloneS: 240, handsS: 0 }]);
  expect(runsOfCopies([a, b], 0.5)).toEqual([
    { aloneS: 60, handsS: 37.5 },
    { aloneS: 30, handsS: 0 },
  ]);
  const bare = measuredTicket('napkin', 'corner', [40, 30]);
  const corners = { ...bare, place: { ...bare.place, placement: 'four-corners' } };
  const { stitch, place } = planTicket(corners, SAMPLE_SHELF, SAMPLE_RULES);
  expect(place?.copies.length).toBe(4);
  const plan = plannedDay(dayAsked(dueOn(null, corners)));
  const stitched = plan.works.flatMap(({ runs }) => runs).reduce((sum, run) => sum + run.aloneS, 0);
  expect(stitched / 60).toBeCloseTo(4 * (stitch?.timeline.machineMinutes ?? 0), 6);
  const onMachine = plan.machines.flatMap(({ on }) => on).filter(({ by }) => by === 'machine');
  const minutes = onMachine.reduce((sum, { fromMs, toMs }) => sum + (toMs - fromMs) / 60_000, 0);
  expect(minutes).toBeCloseTo(stitched / 60, 3);
});

it('two designs that name one another wait for neither, and a piece in its hoop for no pinned one', () => {
  const [one, two] = ['ticket-of-the-front', 'ticket-of-the-back'];
  const front = { ...exampleA(), id: one, samePieceAs: two };
  const back = { ...exampleA(), id: two, samePieceAs: one };
  const sheet = {
    ...withStand(EMPTY_DAY, workId(one, 0), { at: 'hooped', hoop: 'hoop-100x100', sinceMs: FRIDAY_MS }),
    pinned: [workId(two, 0)],
  };
  const plan = plannedDay(dayAsked(dueOn(null, front, back), { sheet }));
  expect(plan.hands.filter(({ what }) => what === 'take off')).toHaveLength(2);
});

it('whatever was said of the pieces, on however many benches, the plan brings all of them to their end', () => {
  const hoops = SAMPLE_SHELF.hoops.map(({ id }) => id);
  const ids = [0, 1, 2, 3].map((piece) => workId('ticket-example-a', piece));
  const stand: fc.Arbitrary<Stand> = fc.oneof(
    fc.record({ at: fc.constantFrom('prepared', 'off', 'finished'), sinceMs: fc.nat(1000) }),
    fc.record({
      at: fc.constant('hooped' as const),
      hoop: fc.constantFrom(...hoops, 'hoop-sold'),
      sinceMs: fc.nat(1000),
    }),
    fc.record({
      at: fc.constant('machine' as const),
      hoop: fc.constantFrom(...hoops),
      run: fc.nat(9),
      sinceMs: fc.nat(1000),
    }),
  );
  fc.assert(
    fc.property(
      fc.dictionary(fc.constantFrom(...ids), stand),
      fc.uniqueArray(fc.constantFrom(...ids, 'ticket-gone:0:0')),
      (stands, pinned) => {
        const sheet = { ...EMPTY_DAY, stands, pinned };
        const plan = plannedDay(dayAsked(dueOn('2026-11-27', of(exampleA(), 4), exampleB()), { sheet }));
        for (const [i, { id }] of plan.works.entries()) {
          const did = plan.hands.filter(({ work }) => work === i).map(({ what }) => what);
          // Taken off by hands, or said to be off; and finished.
          const isOff = did.includes('take off') || ['off', 'machine'].includes(stands[id]?.at ?? '');
          expect([isOff, did.includes('finish')]).toEqual([true, true]);
        }
        expect(plan.works.length).toBe(
          5 - Object.values(stands).filter(({ at }) => at === 'finished').length,
        );
      },
    ),
    { numRuns: 40 },
  );
});

it('says how good it is: what is promised comes first, and a plan that is least late is not called the soonest', () => {
  const plan = { isExact: true, gap: 0, lateS: 0, leastLateS: 0, rethreads: 1 };
  const words = (more: Partial<typeof plan>) => say(sayWorth({ ...plan, ...more }), MM);
  expect(words({})).toBe('No other order is done sooner. 1 thread put on.');
  expect(words({ lateS: 1800 })).toBe(
    'No other order is less late. Late by 30 min of work in all. 1 thread put on.',
  );
  expect(words({ isExact: false })).toBe('No other order is done sooner. 1 thread put on.');
  expect(words({ isExact: false, gap: 0.031, rethreads: 4 })).toBe(
    'At most 4 % longer than any order could be. 4 threads put on.',
  );
  expect(words({ isExact: false, gap: 0.031, lateS: 1800, leastLateS: 600 })).toBe(
    'At most 4 % longer than any order could be. Late by 30 min of work in all, at least 10 min in any order. 1 thread put on.',
  );
  const late = plannedDay(dayAsked(dueOn('2026-11-20', exampleA())));
  expect(say(sayWorth(late), MM)).toMatch(/^No other order is less late\. Late by \d+ min of work in all\./);
});

it('what was stitched last is still on the needle: it is not put on again', () => {
  const crest = of(exampleA(), 2);
  // One crest is off: it ended with yellow, and the next begins with navy. A towel begins with what it ends with.
  const off = withStand(EMPTY_DAY, workId(crest.id, 0), { at: 'off', sinceMs: FRIDAY_MS });
  const towels = { ...of(exampleB(), 2), id: 'ticket-of-towels' };
  const made = withStand(EMPTY_DAY, workId(towels.id, 0), { at: 'finished', sinceMs: FRIDAY_MS });
  const putOn = (tickets: Ticket[], sheet: typeof off) =>
    plannedDay(dayAsked(dueOn(null, ...tickets), { sheet })).rethreads;
  expect([putOn([crest], EMPTY_DAY), putOn([crest], off)]).toEqual([2, 1]);
  expect([putOn([towels], EMPTY_DAY), putOn([towels], made)]).toEqual([1, 0]);
});

it('a piece that is on its machine as the shop closes stays in its hoop overnight, and that is told', () => {
  const stand: Stand = {
    at: 'machine',
    hoop: 'hoop-100x100',
    run: 0,
    sinceMs: FRIDAY_MS + 8 * 3600_000 - 120_000,
  };
  const sheet = withStand(EMPTY_DAY, workId('ticket-example-a', 0), stand);
  const nowMs = FRIDAY_MS + 8 * 3600_000 - 60_000;
  const plan = plannedDay(dayAsked(dueOn(null, exampleA()), { sheet, nowMs }));
  expect(plan.notes.map(({ code, text }) => [code, say(text, MM)])).toEqual([
    [
      'overnight',
      'No. 1, Rowing club crest, stays in its hoop overnight, from Friday 27 November: loosen the ring if the cloth marks.',
    ],
  ]);
});
