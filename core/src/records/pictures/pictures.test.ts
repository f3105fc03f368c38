import fc from 'fast-check';
import { say } from '../../base/units/phrase';
import { minutesOfHands } from '../../business/cost/runFacts';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { EMPTY_LOG, type LogInput, NOT_MEASURED } from '../../model/ticket/log';
import { planTicket } from '../../planner/plan';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { type EntryFacts, entryFactsOf } from '../find/entryFacts';
import { frozenPlan } from '../logbook/frozenPlan';
import { picturesOf } from './pictures';

const RULES = DEFAULT_HOUSE_RULES;
const MM = { system: 'mm' } as const;
const ticket = exampleA();
const plan = frozenPlan(planTicket(ticket, SAMPLE_SHELF, RULES));
const facts = (log: Partial<LogInput>, i = 0): EntryFacts =>
  entryFactsOf({
    id: `entry-of-picture-${i}`,
    loggedAt: '2026-03-01T10:00:00.000Z',
    ticket,
    plan,
    log: { ...EMPTY_LOG, ...log },
  });
const off = (right: number, down: number, endDown: number | null = null) => ({
  off: { right, down, endDown },
});

it('says where pieces sit on the average, if that is no chance', () => {
  const low = [2.2, 1.8, 2.1, 1.9, 2].map((down, i) => facts(off(i % 2 ? 1 : -1, down), i));
  const [picture] = picturesOf(low, RULES).missed;
  expect(picture?.mean.down).toBeCloseTo(2, 9);
  expect(say(picture?.text ?? [], MM)).toMatch(/^You sit 2 mm low, at .+\.$/);
  const every = [3, -3, 2, -2, 1, -1].map((down, i) => facts(off(-down, down), i));
  expect(say(picturesOf(every, RULES).missed[0]?.text ?? [], MM)).toMatch(/^You sit where you should/);
  expect(picturesOf(low.slice(0, 4), RULES).missed[0]?.text).toBeNull();
});

it('reads a turn off the right end: 2 mm low at half a width is so many degrees', () => {
  const [one] = picturesOf([facts(off(0, 1, 3))], RULES).missed[0]?.points ?? [];
  const half = (plan.design?.facts?.widthMm ?? 0) / 2;
  expect(one?.turnDeg).toBeCloseTo((Math.atan2(2, half) * 180) / Math.PI, 9);
  const [level] = picturesOf([facts({ off: { ...NOT_MEASURED, down: 1 } })], RULES).missed[0]?.points ?? [];
  expect(level).toEqual({ right: 0, down: 1, turnDeg: null });
});

it('counts pieces by cloth and method, and every fault of them', () => {
  const [cloth, ...others] = picturesOf(
    [facts({}), facts({ faults: { puckering: 1, gaps: 2 } }), facts({ faults: { puckering: 0 } })],
    RULES,
  ).cameOut;
  expect(others).toEqual([]);
  expect(cloth).toMatchObject({
    fabricId: 'jersey-tee',
    pieces: 3,
    clean: 2,
    faults: { puckering: 1, gaps: 1 },
  });
});

it('fits what was worked out to what it was, and offers the number that would meet it', () => {
  const planned = plan.stitch as unknown as { topM: number; bobbinNeededM: number };
  const all = [1.1, 1.2, 1.3, 1.2, 1.2].map((times, i) =>
    facts({ counted: { stitches: null, topM: planned.topM * times, bobbinM: planned.bobbinNeededM } }, i),
  );
  const fits = picturesOf(all, RULES).fits;
  const top = fits.find(({ figure }) => figure === 'top thread');
  expect(top?.times).toBeCloseTo(1.2, 6);
  expect(top?.offers).toMatchObject({ numbers: { topThreadFactor: 138 }, now: 115, fitted: 138 });
  // With that number what is worked out is what it was.
  const again = planTicket(ticket, SAMPLE_SHELF, { ...RULES, numbers: { topThreadFactor: 138 } });
  expect(again.stitch?.topM ?? 0).toBeGreaterThan(planned.topM * 1.12);
  expect(fits.find(({ figure }) => figure === 'bobbin thread')?.offers).toBeNull();
  expect(picturesOf(all.slice(0, 3), RULES).fits[0]?.offers).toBeNull();
});

it('minutes by their quarters; of nothing nothing is told', () => {
  const all = [4, 6, 8, 10].map((hoop, i) => facts({ minutes: { hoop } }, i));
  expect(picturesOf(all, RULES).took).toEqual([
    { stage: 'hoop', n: 4, quarter: 5.5, half: 7, threeQuarters: 8.5 },
  ]);
  expect(picturesOf([], RULES)).toEqual({
    pieces: 0,
    missed: [],
    cameOut: [],
    took: [],
    hands: [],
    needles: [],
    fits: [],
  });
});

it('minutes of hands are offered as they were: those of single pieces, by how they were held, each with its share', () => {
  const timed = [5, 6, 7, 6, 6].map((hoop, i) =>
    facts({ minutes: { place: 2, piece: 1, hoop, mount: 1.5, finish: 7.5 } }, i),
  );
  const { hands } = picturesOf(timed, RULES);
  // Preparing 2 + 1 and putting on 1.5 are as the house counts them; the crest is hooped, not floated.
  expect(hands).toEqual([
    { numbers: { hoopMinutes: 6 }, name: 'Hoop a piece', now: 3, fitted: 6, unit: 'minutes', from: 5 },
    {
      numbers: { takeOffMinutes: 3, finishMinutes: 4.5 },
      name: 'Take off and finish a piece',
      now: 5,
      fitted: 7.5,
      unit: 'minutes',
      from: 5,
    },
  ]);
  // With them, nothing is offered any more, and a piece is planned to take as long.
  const numbers = Object.assign({}, ...hands.map((one) => one.numbers));
  expect(picturesOf(timed, { ...RULES, numbers }).hands).toEqual([]);
  expect(minutesOfHands('hooped', { ...RULES, numbers })).toEqual({
    prepare: 3,
    hoop: 6,
    mount: 1.5,
    takeOff: 3,
    finish: 4.5,
  });
  expect(picturesOf(timed.slice(0, 4), RULES).hands).toEqual([]);
  const several = timed.map((one) => ({
    ...one,
    learned: one.learned && { ...one.learned, results: [{ pieces: 3, faults: {} }] },
  }));
  expect(picturesOf(several, RULES).hands).toEqual([]);
});

it('needles by their hours: every piece stands in one step, and those that broke among them', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.double({ min: 0, max: 30, noNaN: true }), fc.boolean()), { maxLength: 40 }),
      (made) => {
        const entries = made.map(([needleHours, broke], i): EntryFacts => {
          const one = facts(broke ? { faults: { 'needle-break': 1 } } : {}, i);
          return { ...one, learned: one.learned && { ...one.learned, needleHours } };
        });
        const { needles } = picturesOf(entries, RULES);
        expect(needles.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(made.length);
        for (const { fromHours, toHours, pieces, bad } of needles) {
          const inside = made.filter(([hours]) => hours >= fromHours && hours < toHours);
          expect([inside.length, inside.filter(([, broke]) => broke).length]).toEqual([pieces, bad]);
        }
      },
    ),
  );
});
