import fc from 'fast-check';
import { add, distance, rotate, shortTurnDeg } from '../../base/geometry/point';
import { say } from '../../base/units/phrase';
import { applyMend } from '../../model/finding';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { MARK_IDS, type MarkFound, type MarkId } from '../../model/ticket/mount';
import { planTicket } from '../../planner/plan';
import { casesOf } from '../../testing/cases';
import { followHoopAgain } from '../../testing/followHoopAgain';
import { report } from '../../testing/report';
import { exampleA, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { type AgainQuestion, againInWords, hoopAgain } from './hoopAgain';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const SHELF: Shelf = {
  ...SAMPLE_SHELF,
  machines: SAMPLE_SHELF.machines.map((m) => ({ ...m, turnStepDeg: 90 })),
};
const inTurn = (ticket: Ticket, turnDeg: 0 | 90 | 180 | 270): Ticket =>
  applyChange(ticket, { stage: 'hoop', set: { turnDeg } });
const planOf = (ticket: Ticket) => planTicket(ticket, SHELF, RULES);

/** What is read of the marks when the piece lies turned and moved from where it should, about its own centre. */
function readWhen(
  ticket: Ticket,
  lie: { crookedDeg: number; x: number; y: number },
  marks: readonly MarkId[],
) {
  const mount = planOf(ticket).mount;
  if (!mount) throw new Error('nothing is mounted');
  const { centre } = mount.marksShould;
  return marks.map((mark): MarkFound => {
    const from = rotate(
      { x: mount.marksShould[mark].x - centre.x, y: mount.marksShould[mark].y - centre.y },
      lie.crookedDeg,
    );
    return { mark, ...add(add(from, centre), { x: lie.x, y: lie.y }), chalkedAt: mount.marksAt[mark] };
  });
}
const readOn = (ticket: Ticket, readings: MarkFound[]) =>
  applyChange(ticket, { stage: 'mount', set: { readings } });

const TICKETS = [
  exampleA(),
  measuredTicket('bread-cloth', 'centre', [80, 54]),
  measuredTicket('tote', 'clear-face', [60, 96]),
  measuredTicket('hoodie', 'centre-chest', [90, 60]),
];
const ticket = fc.constantFrom(...TICKETS);
const hoopTurn = fc.constantFrom(0 as const, 90 as const, 180 as const, 270 as const);
/** Up to 40 either way, in tenths. */
const tenths = fc.integer({ min: -400, max: 400 }).map((n) => n / 10);
const lie = fc.record({
  crookedDeg: tenths,
  x: tenths,
  y: tenths,
});
const marks = fc.subarray([...MARK_IDS], { minLength: 2, maxLength: 5 });

it('whoever follows the advice finds the piece straight at the next reading, in every turn and by any marks', () => {
  let [asked, advised] = [0, 0];
  fc.assert(
    fc.property(ticket, hoopTurn, lie, marks, (base, turnDeg, at, read) => {
      asked++;
      const hooped = inTurn(base, turnDeg);
      const before = planOf(readOn(hooped, readWhen(hooped, at, read)));
      const again = before.mount?.crooked?.again;
      if (!again) return true;
      advised++;
      const text = say(againInWords(again.advice), MM);
      expect(text).not.toMatch(/ 0 mm/);
      const now = followHoopAgain(again.question, again.advice);
      const should = again.question.shouldTurnDeg;
      const planned = before.hoop?.laid?.designAt ?? { x: 0, y: 0 };
      const next = {
        crookedDeg: shortTurnDeg(now.turnDeg - should),
        x: now.centre.x - planned.x,
        y: now.centre.y - planned.y,
      };
      const after = planOf(readOn(hooped, readWhen(hooped, next, read)));
      const { crooked } = after.mount ?? {};
      return (
        crooked?.again === null &&
        crooked.miss === null &&
        crooked.leftOverMm <= 1 &&
        after.findings.every((f) => f.stage !== 'mount' || f.severity !== 'stop')
      );
    }),
    { numRuns: casesOf(800, 120) },
  );
  report(`crooked hoopings read: ${asked}; advised to hoop again and straight after it: ${advised}`);
  expect(advised).toBeGreaterThan(asked / 2);
});

describe('the advice', () => {
  const QUESTION: AgainQuestion = {
    marks: [
      { mark: 'centre', at: { x: 0, y: 0 } },
      { mark: 'left', at: { x: -50, y: 0 } },
      { mark: 'right', at: { x: 50, y: 0 } },
    ],
    designCentre: { x: 0, y: 0 },
    turnDeg: 0,
    centre: { x: 0, y: 0 },
    shouldTurnDeg: 0,
    centreTo: { x: 0, y: 0 },
  };

  it.each([
    [0, 3, /^Hoop it again: hold the centre and bring the left axis end 2\.6 mm towards you\.$/],
    [0, -3, /^Hoop it again: hold the centre and bring the left axis end 2\.6 mm away from you\.$/],
    [-90, 3, /^Hoop it again: hold the centre and bring the left axis end 2\.6 mm to the right\.$/],
    [-180, 3, /^Hoop it again: hold the centre and bring the left axis end 2\.6 mm away from you\.$/],
    [-270, 3, /^Hoop it again: hold the centre and bring the left axis end 2\.6 mm to the left\.$/],
  ])('in the hoop’s own frame: should lie at %i°, lies %i° off', (shouldTurnDeg, off, words) => {
    const q = { ...QUESTION, shouldTurnDeg, turnDeg: shouldTurnDeg + off };
    expect(say(againInWords(hoopAgain(q)), MM)).toMatch(words);
  });

  it('for a straight hooping that lies elsewhere is the whole piece, and never a way of nothing', () => {
    const off = { ...QUESTION, centre: { x: 15, y: 0 } };
    expect(say(againInWords(hoopAgain(off)), MM)).toBe('Hoop it again: the whole piece 15 mm to the left.');
    const both = { ...QUESTION, turnDeg: 2, centre: { x: -3, y: 4 } };
    expect(say(againInWords(hoopAgain(both)), MM)).toBe(
      'Hoop it again: hold the centre and bring the left axis end 1.7 mm towards you; then the whole piece 3 mm to the right and 4 mm away from you.',
    );
    expect(hoopAgain(QUESTION)).toEqual({ pivot: null, whole: [] });
  });

  it('goes by the mark that lies farthest out', () => {
    const q = {
      ...QUESTION,
      turnDeg: 4,
      marks: [...QUESTION.marks, { mark: 'foot' as const, at: { x: 0, y: 80 } }],
    };
    expect(hoopAgain(q).pivot).toMatchObject({ mark: 'foot', way: 'to the right' });
  });

  it('followed where there is nothing to do changes nothing', () => {
    expect(followHoopAgain(QUESTION, hoopAgain(QUESTION))).toEqual({ turnDeg: 0, centre: { x: 0, y: 0 } });
  });
});

describe('a crookedness that brings the design out of the field', () => {
  const cloth = inTurn(measuredTicket('bread-cloth', 'centre', [94, 94]), 0);
  const crooked = readOn(cloth, readWhen(cloth, { crookedDeg: 6, x: 2, y: 1 }, ['centre', 'left', 'right']));
  const misses = (t: Ticket, shelf = SAMPLE_SHELF) =>
    planTicket(t, shelf, RULES).findings.find((f) => f.code === 'mount-crooked-misses');

  it('is offered ways out that keep their word, worked out on the turned design', () => {
    const only: Shelf = { ...SAMPLE_SHELF, hoops: SAMPLE_SHELF.hoops.filter((h) => h.id === 'hoop-100x100') };
    const finding = misses(crooked, only);
    expect(finding?.severity).toBe('stop');
    expect(finding?.mends.map((m) => say(m.label, MM))).toEqual(['Shrink to 92 %']);
    for (const mend of finding?.mends ?? []) expect(misses(applyMend(crooked, mend), only)).toBeUndefined();
  });

  it('may be stitched off its marks where it still fits, its chalk left where it was made', () => {
    const small = inTurn(measuredTicket('bread-cloth', 'centre', [80, 80]), 0);
    const off = readOn(small, readWhen(small, { crookedDeg: 4, x: 14, y: 0 }, ['centre', 'left', 'right']));
    const finding = misses(off);
    const [shift] = finding?.mends ?? [];
    expect(say(shift?.label ?? [], MM)).toMatch(/^Stitch it [\d.]+ mm off its marks$/);
    if (!shift) return;
    const after = applyMend(off, shift);
    expect(misses(after)).toBeUndefined();
    const [a, b] = [planTicket(off, SAMPLE_SHELF, RULES).mount, planTicket(after, SAMPLE_SHELF, RULES).mount];
    expect(b?.crooked?.crookedDeg).toBeCloseTo(a?.crooked?.crookedDeg ?? 0, 6);
    expect(distance(a?.designAt ?? { x: 0, y: 0 }, b?.designAt ?? { x: 0, y: 0 })).toBeGreaterThan(3);
  });
});
