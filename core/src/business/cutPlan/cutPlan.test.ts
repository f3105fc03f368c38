import type { Box } from '../../base/geometry/box';
import { say } from '../../base/units/phrase';
import type { Material } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import { wantedPieces } from '../../planner/hands/wantedPieces';
import { newTicket } from '../../planner/newTicket';
import { planTicket } from '../../planner/plan';
import { titleOf } from '../../planner/titleOf';
import { followCuts } from '../../testing/followCuts';
import { exampleA, exampleB, SAMPLE_RULES, SAMPLE_SHELF } from '../../testing/samples';
import { variedSheets } from '../../testing/variedSheets';
import { canBeCut, checkCuts } from './checkCuts';
import { cutPlan, MOST_PLANNED_SHEETS } from './cutPlan';
import { cutFromRoll, cutFromSheet, type Wanted } from './guillotine';
import { sayBeyond } from './sayCuts';

const piece = (id: string, widthMm: number, heightMm: number): Wanted => ({ id, widthMm, heightMm });
const box = (left: number, top: number, right: number, bottom: number): Box => ({ left, top, right, bottom });

describe('off a roll', () => {
  it('lies two abreast where two fit, by hand', () => {
    const { lengthMm, placed, notPlaced } = cutFromRoll(
      [piece('a', 200, 150), piece('b', 200, 150), piece('c', 200, 150)],
      500,
      9000,
    );
    // Three pieces of 150 abreast on 500: one row of 200.
    expect([lengthMm, placed.length, notPlaced]).toEqual([200, 3, []]);
  });

  it('what is wider than the roll, or longer than what is left of it, is not placed', () => {
    const pieces = [piece('wide', 600, 700), piece('long', 400, 450), piece('fits', 300, 100)];
    const { placed, notPlaced, lengthMm } = cutFromRoll(pieces, 500, 300);
    expect(placed.map(({ id }) => id)).toEqual(['fits']);
    expect(notPlaced.map(({ id }) => id).sort()).toEqual(['long', 'wide']);
    expect(lengthMm).toBe(100);
  });

  it('of nothing there is nothing', () => {
    expect(cutFromRoll([], 500, 1000)).toMatchObject({ lengthMm: 0, placed: [], cuts: [] });
  });

  it('whoever follows the cuts ends with every piece in the hand, on a hundred benches', () => {
    for (let seed = 1; seed <= 100; seed += 1) {
      const pieces = variedSheets(seed * 53, 1 + (seed % 12));
      const roll = cutFromRoll(pieces, 500, 100_000);
      const whole = box(0, 0, roll.lengthMm, 500);
      expect(checkCuts(whole, roll.placed)).toEqual([]);
      expect(roll.placed.length + roll.notPlaced.length).toBe(pieces.length);
      const sheets = followCuts([box(0, 0, 100_000, 500)], roll);
      const sides = ({ left, top, right, bottom }: Box) =>
        [left, top, right, bottom].map((mm) => mm.toFixed(4)).join();
      const inHand = new Set(sheets.map(sides));
      for (const { at } of roll.placed) expect(inHand.has(sides(at))).toBe(true);
      for (const { id, at } of roll.placed) {
        const own = pieces.find((one) => one.id === id);
        const [w, h] = [at.right - at.left, at.bottom - at.top];
        expect([own?.widthMm, own?.heightMm].sort()).toEqual(
          [w, h].map((mm) => Math.round(mm * 1e6) / 1e6).sort(),
        );
      }
    }
  });
});

it('a sheet is cut from its corner, its rests are kept whole', () => {
  const { placed, left, cuts } = cutFromSheet(box(0, 0, 300, 200), [piece('a', 100, 200)], { by: 'longer' });
  expect([placed[0]?.at, left, cuts]).toEqual([
    box(0, 0, 100, 200),
    [box(100, 0, 300, 200)],
    [{ of: box(0, 0, 300, 200), way: 'across', atMm: 100 }],
  ]);
});

it('what no straight cuts can part is known: a pinwheel', () => {
  const pinwheel = [box(0, 0, 2, 1), box(2, 0, 3, 2), box(1, 2, 3, 3), box(0, 1, 1, 3), box(1, 1, 2, 2)];
  expect(canBeCut(pinwheel)).toBe(false);
  expect(
    checkCuts(
      box(0, 0, 3, 3),
      pinwheel.map((at, i) => ({ id: `${i}`, at })),
    ),
  ).toEqual(['no straight cuts part them']);
  expect(
    checkCuts(box(0, 0, 2, 3), [
      { id: 'a', at: box(0, 0, 3, 1) },
      { id: 'b', at: box(1, 0, 2, 1) },
    ]),
  ).toEqual(['a lies outside', 'a lies on b']);
});

describe('the plan of a bench', () => {
  const planned = (ticket: Ticket, id = ticket.id) => ({
    ticketId: id,
    title: titleOf(ticket),
    plan: planTicket(ticket, SAMPLE_SHELF, SAMPLE_RULES),
  });
  const crests = { ...exampleA(), piece: { ...exampleA().piece, quantity: 7 } };

  it('cuts what every ticket wants, numbered in the order of cutting, no roll cut more than it has', () => {
    const tickets = [planned(crests), planned(exampleB()), planned(exampleA(), 'ticket-another')];
    const plan = cutPlan(tickets, SAMPLE_SHELF.materials, SAMPLE_RULES);
    const wanted = tickets.flatMap(({ plan: own }) => wantedPieces(own, SAMPLE_RULES));
    expect(plan.pieces.length + plan.missing.length).toBe(wanted.reduce((sum, { count }) => sum + count, 0));
    expect(plan.pieces.map(({ no }) => no)).toEqual(plan.pieces.map((_, i) => i + 1));
    for (const { placed, lengthMm, acrossMm } of plan.sources)
      expect(checkCuts(box(0, 0, lengthMm, acrossMm), placed)).toEqual([]);
    for (const material of plan.after) {
      const before = SAMPLE_SHELF.materials.find(({ id }) => id === material.id);
      const taken = plan.sources
        .filter(({ material: { id }, sheet }) => id === material.id && sheet === null)
        .reduce((sum, { lengthMm }) => sum + lengthMm, 0);
      expect(material.metresLeft).toBeCloseTo((before?.metresLeft ?? 0) - taken / 1000, 9);
      expect(material.metresLeft).toBeGreaterThanOrEqual(0);
    }
  });

  it('takes offcuts first, and keeps what is left of them', () => {
    const [first] = wantedPieces(planned(crests).plan, SAMPLE_RULES);
    if (!first) throw new Error('a crest has a sheet');
    const own: Material = {
      id: 'material-own',
      name: 'Own',
      type: first.type,
      widthMm: 500,
      metresLeft: 5,
      loose: [{ widthMm: first.widthMm + 200, heightMm: first.heightMm + 1, count: 1 }],
    };
    const { sources, after } = cutPlan([planned(crests)], [own], SAMPLE_RULES);
    expect(sources[0]).toMatchObject({ sheet: { widthMm: first.widthMm + 200 } });
    expect(sources[0]?.placed.length).toBeGreaterThanOrEqual(1);
    expect(sources.slice(1).every(({ sheet }) => sheet === null)).toBe(true);
    expect(after[0]?.loose.some(({ widthMm }) => widthMm === first.widthMm + 200)).toBe(false);
  });

  it('what nothing is large enough for is missing, and a bench beyond measure is planned as far as it goes', () => {
    const none = cutPlan([planned(exampleA())], [], SAMPLE_RULES);
    expect([none.sources, none.missing.length > 0]).toEqual([[], true]);
    const many = { ...exampleA(), piece: { ...exampleA().piece, quantity: 1000 } };
    const { pieces, missing, beyond } = cutPlan([planned(many)], SAMPLE_SHELF.materials, SAMPLE_RULES);
    expect(pieces.length + missing.length).toBe(MOST_PLANNED_SHEETS);
    expect(MOST_PLANNED_SHEETS + beyond).toBe(
      1000 * cutPlan([planned(exampleA())], [], SAMPLE_RULES).missing.length,
    );
    expect(say(sayBeyond({ beyond }) ?? [], { system: 'mm' })).toMatch(
      /^\d+ ?\d* more sheets come after these: planned once these are cut\.$/,
    );
    expect(sayBeyond({ beyond: 0 })).toBeNull();
    expect(
      cutPlan([planned(newTicket('ticket-bare', 't-shirt'))], SAMPLE_SHELF.materials, SAMPLE_RULES).pieces,
    ).toEqual([]);
  });
});
