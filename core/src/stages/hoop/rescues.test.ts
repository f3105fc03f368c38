import { say } from '../../base/units/phrase';
import { applyMend, type Mend } from '../../model/finding';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Hoop, Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { type HoopInput, otherHoop } from '../../model/ticket/hoop';
import { planTicket } from '../../planner/plan';
import { designed } from '../../testing/designed';
import { exampleA, hoop, measuredTicket, SAMPLE_SHELF, twoLeaves } from '../../testing/samples';
import { hoopingCount } from './planHoop';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const shelfOf = (...hoops: Hoop[]): Shelf => ({ ...SAMPLE_SHELF, hoops });
const planOf = (ticket: Ticket, shelf: Shelf = SAMPLE_SHELF) => planTicket(ticket, shelf, RULES);
const hooped = (ticket: Ticket, set: Partial<HoopInput>): Ticket =>
  applyChange(ticket, { stage: 'hoop', set });
const sized = (ticket: Ticket, widthMm: number, heightMm: number): Ticket =>
  designed(ticket, { widthMm, heightMm });
const stops = (ticket: Ticket, shelf?: Shelf) =>
  planOf(ticket, shelf)
    .findings.filter((f) => f.stage === 'hoop' && f.severity === 'stop')
    .map((f) => f.code);
const mendsOf = (ticket: Ticket, shelf?: Shelf): Mend[] =>
  planOf(ticket, shelf).findings.find((f) => f.stage === 'hoop' && f.severity === 'stop')?.mends ?? [];
const labelled = (mends: readonly Mend[], label: RegExp) => mends.find((m) => label.test(say(m.label, MM)));

/** A bib with a design so far up that the ring of the usual hoop would lie over its neck binding. */
const bib = (): Ticket => {
  const piece = { fabricId: 'stable-cotton', readings: { width: 260, drop: 200 } };
  const measured = applyChange(measuredTicket('bib', 'bib-middle', [90, 80]), { stage: 'piece', set: piece });
  const moved = applyChange(measured, { stage: 'place', set: { offset: { x: 0, y: -30 } } });
  return hooped(moved, { method: 'hooped', hoopId: 'hoop-100x100' });
};
const bibShelf = shelfOf(
  hoop('hoop-100x100', [100, 100], [132, 140]),
  hoop('hoop-95x85', [95, 85], [110, 100]),
);

describe('rescues', () => {
  it.each([
    [
      'turn',
      hooped(sized(exampleA(), 150, 60), { hoopId: 'hoop-130x180', turnDeg: 0 }),
      /^Turn the hoop (90|270)°$/,
      'none: the design stays where it is',
    ],
    [
      'move closer',
      hooped(twoLeaves(), { hoopId: 'hoop-100x100' }),
      /^Move its elements closer together$/,
      'the composition changes: up to 10.4 mm for an element; save the file so',
    ],
    [
      'shift inside the field',
      hooped(exampleA(), { hoopId: 'hoop-100x100', turnDeg: 0, shift: { x: 30, y: 0 } }),
      /^Shift the design 24 mm to the right$/,
      'it sits 24 mm off the rule',
    ],
    [
      'shrink',
      hooped(sized(exampleA(), 106, 60), { hoopId: 'hoop-100x100' }),
      /^Shrink to 94 %$/,
      '13 % denser with the same stitches',
    ],
    [
      'next hoop',
      hooped(sized(exampleA(), 106, 60), { hoopId: 'hoop-100x100' }),
      /^Use Round 150 screw hoop$/,
      '71 % more stabilizer',
    ],
    [
      'hoop again',
      hooped(exampleA(), { hoopId: 'hoop-100x100', turnDeg: 0, shift: { x: 30, y: 0 } }),
      /^Hoop it again 30 mm to the left$/,
      'the hoop comes off: one more hooping',
    ],
    [
      'split',
      hooped(sized(exampleA(), 150, 60), { hoopId: 'hoop-100x100' }),
      /^Split it into 2 hoopings$/,
      '1 more hooping; the file is saved in 2 parts',
    ],
  ])('%s: states its cost, and mends', (_, ticket, label, cost) => {
    const mend = labelled(mendsOf(ticket), label);
    expect(say(mend?.cost ?? [], MM)).toBe(cost);
    expect(say(mend?.result ?? [], MM)).toMatch(/\w/);
    if (mend) expect(stops(applyMend(ticket, mend))).toEqual([]);
  });

  it('come in the order people try them, and every one of them mends', () => {
    const labels = mendsOf(bib(), bibShelf).map((m) => say(m.label, MM));
    expect(labels).toEqual([
      'Float it',
      'Shift the design 4.1 mm down',
      'Shrink to 90 %',
      'Use 95 × 85 screw hoop',
    ]);
    for (const mend of mendsOf(bib(), bibShelf)) expect(stops(applyMend(bib(), mend), bibShelf)).toEqual([]);
  });

  it('shift a design no farther than the ring needs to lie clear', () => {
    const mend = labelled(mendsOf(bib(), bibShelf), /^Shift/);
    const to = mend?.change.stage === 'place' ? mend.change.set.offset : undefined;
    const shifted = (y: number) =>
      stops(applyChange(bib(), { stage: 'place', set: { offset: { x: to?.x ?? 0, y } } }), bibShelf);
    expect(Math.abs(to?.x ?? 9)).toBeLessThan(1);
    expect(shifted((to?.y ?? 0) + 0.6)).toEqual([]);
    expect(shifted((to?.y ?? 0) - 0.6)).toEqual(['hoop-cannot-close']);
  });

  it('never shrink below what the cloth bears, and say that it would take that', () => {
    const ticket = hooped(sized(exampleA(), 140, 60), { hoopId: 'hoop-100x100' });
    expect(labelled(mendsOf(ticket), /^Shrink/)).toBeUndefined();
    const note = planOf(ticket).findings.find((f) => f.code === 'hoop-shrink-too-far');
    expect(say(note?.text ?? [], MM)).toContain('shrunk to 71 %, below 80 %: get the design in that size');
  });

  it('offer to shrink into the nearest when nothing fits, and say so when there is no hoop', () => {
    const lonely = shelfOf(hoop('hoop-only-one', [80, 80], [110, 118]));
    expect(stops(exampleA(), lonely)).toEqual(['hoop-none-fits']);
    const mend = labelled(mendsOf(exampleA(), lonely), /^Shrink to 90 %$/);
    expect(mend && stops(applyMend(exampleA(), mend), lonely)).toEqual([]);
    expect(planOf(exampleA(), shelfOf()).findings).toContainEqual(
      expect.objectContaining({ stage: 'hoop', code: 'hoop-none', severity: 'next' }),
    );
  });

  it('open a seam where the opening does not let the ring in', () => {
    const small: Ticket = {
      ...exampleA(),
      piece: {
        ...exampleA().piece,
        readings: { chestWidth: 200, length: 300, shoulder: 55, armhole: 110 },
      },
    };
    const big = shelfOf(hoop('hoop-large-one', [200, 200], [236, 240]));
    const ticket = hooped(sized(small, 50, 40), { hoopId: 'hoop-large-one', method: 'floated' });
    const finding = planOf(ticket, big).findings.find((f) => f.code === 'hoop-opening');
    expect(say(finding?.text ?? [], MM)).toContain(
      'needs an opening of 256 mm; the hem is 200 mm: open a seam',
    );
    const mend = labelled(finding?.mends ?? [], /^Open the side seam on your right$/);
    expect(mend && stops(applyMend(ticket, mend), big)).toEqual([]);
  });

  it('are asked of every hoop where none takes it as things are, whichever is in hand; each that is shown mends', () => {
    const narrow: Ticket = {
      ...exampleA(),
      piece: {
        ...exampleA().piece,
        readings: { chestWidth: 250, length: 420, shoulder: 60, armhole: 130 },
      },
    };
    const shelf = shelfOf(
      hoop('hoop-60x60', [60, 60], [90, 96]),
      hoop('hoop-130x130', [130, 130], [236, 240]),
    );
    for (const hoopId of [null, 'hoop-60x60', 'hoop-130x130']) {
      const ticket = hooped(sized(narrow, 110, 90), { hoopId, method: 'floated' });
      const mends = mendsOf(ticket, shelf);
      expect(labelled(mends, /^Open the side seam on your right$/)).toBeDefined();
      for (const mend of mends) expect(stops(applyMend(ticket, mend), shelf)).toEqual([]);
    }
  });
});

describe('a hoop that is latched in several places', () => {
  const long = hoop('hoop-long', [130, 180], [164, 340], { positions: { count: 3, stepMm: 120 } });
  const ticket = hooped(sized(measuredTicket('bath-towel', 'centre', [60, 40]), 60, 260), {
    hoopId: 'hoop-long',
    method: 'floated',
  });

  it('stitches in as few places as reach over the design, the ring staying where it is', () => {
    const mend = labelled(mendsOf(ticket, shelfOf(long)), /^Stitch it in 2 places of this hoop$/);
    const plan = planOf(mend ? applyMend(ticket, mend) : ticket, shelfOf(long));
    expect(plan.findings.filter((f) => f.stage === 'hoop' && f.severity === 'stop')).toEqual([]);
    expect(plan.hoop?.laid?.split?.split).toMatchObject({ byPositions: true, overlapMm: 60 });
    const second = planOf(
      applyChange(mend ? applyMend(ticket, mend) : ticket, { stage: 'hoop', set: { part: 1 } }),
      shelfOf(long),
    );
    expect(second.hoop?.laid?.ring).toEqual(plan.hoop?.laid?.ring);
    const apart = (second.hoop?.laid?.centre.y ?? 0) - (plan.hoop?.laid?.centre.y ?? 0);
    expect(Math.abs(apart)).toBeCloseTo(120, 6);
  });

  it('is preferred to hooping again where both take two parts, and wants one sheet of each kind', () => {
    const square = hoop('hoop-square', [100, 100], [130, 200], { positions: { count: 2, stepMm: 60 } });
    const wide = hooped(sized(measuredTicket('bath-towel', 'centre', [60, 40]), 140, 60), {
      hoopId: 'hoop-square',
      method: 'floated',
    });
    const mends = mendsOf(wide, shelfOf(square));
    expect(labelled(mends, /^Split it into 2 hoopings$/)).toBeUndefined();
    const mend = labelled(mends, /^Stitch it in 2 places of this hoop$/);
    const plan = planOf(mend ? applyMend(wide, mend) : wide, shelfOf(square));
    expect(plan.hoop?.laid?.split?.split.parts).toHaveLength(2);
    expect(plan.hoop && hoopingCount(plan.hoop)).toBe(1);
    const again = hoop('hoop-square', [100, 100], [130, 200]);
    const split = labelled(mendsOf(wide, shelfOf(again)), /^Split it into 2 hoopings$/);
    const twice = planOf(split ? applyMend(wide, split) : wide, shelfOf(again));
    expect(twice.hoop && hoopingCount(twice.hoop)).toBe(2);
  });
});

describe('splitting', () => {
  const split = (mends: readonly Mend[]) => labelled(mends, /^Split it into/);
  /** A mat far larger than one field, but so narrow that no ring of the hoop lies on it. */
  const strip = (): Ticket => {
    const measured = measuredTicket('bath-towel', 'centre', [60, 40]);
    const readings = { width: 120, length: 900, bandHeight: 0, bandTop: 0 };
    const narrow = applyChange(measured, { stage: 'piece', set: { fabricId: 'stable-cotton', readings } });
    return hooped(sized(narrow, 60, 260), { hoopId: 'hoop-100x100', method: 'hooped' });
  };

  it('is hooped only where every part’s ring lies clear; else it floats, and says so', () => {
    const ticket = strip();
    const mend = split(mendsOf(ticket));
    expect(say(mend?.cost ?? [], MM)).toContain('floated, since the ring cannot close on every part');
    const after = planOf(mend ? applyMend(ticket, mend) : ticket);
    expect([after.hoop?.method, after.hoop?.laid?.split?.split.parts.length]).toEqual(['floated', 3]);
    expect(mend && stops(applyMend(ticket, mend))).toEqual([]);
  });

  it('of cloth too thick for the ring is not hooped either', () => {
    const shallow = shelfOf(hoop('hoop-100x100', [100, 100], [132, 140], { closesOnMm: 0.1 }));
    const parts = hooped(sized(exampleA(), 150, 60), {
      hoopId: 'hoop-100x100',
      split: true,
      method: 'hooped',
    });
    const finding = planOf(parts, shallow).findings.find((f) => f.code === 'hoop-cannot-close');
    expect(say(finding?.text ?? [], MM)).toContain('thick, it closes on 0.1 mm');
  });

  it('ends when another hoop is taken', () => {
    const ticket = hooped(sized(exampleA(), 150, 60), { hoopId: 'hoop-100x100', split: true, part: 1 });
    const changed = applyChange(ticket, { stage: 'hoop', set: otherHoop('hoop-130x180') });
    expect(planOf(changed).hoop?.laid?.split).toBeNull();
    expect(stops(changed)).toEqual([]);
  });
});

describe('a hoop that may not lie a quarter turn round', () => {
  it('is judged upright and upside down only', () => {
    const upright = hoop('hoop-130x180', [130, 180], [164, 222], { mayTurn: false });
    const verdict = planOf(sized(exampleA(), 150, 60), shelfOf(upright)).hoop?.verdicts[0];
    expect(verdict?.turns.map((t) => t.turnDeg)).toEqual([0, 180]);
    expect(verdict?.fits).toBe(false);
  });
});
