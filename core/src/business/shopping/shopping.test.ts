import { toEnd } from '../../base/inSteps';
import { say } from '../../base/units/phrase';
import { sheetPieces } from '../../ledger/rolls/sheetPieces';
import { applyMend } from '../../model/finding';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Shelf, Supply } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { designed } from '../../testing/designed';
import { exampleA, exampleB, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { shoppingList as inSteps } from './shopping';

const shoppingList = (...of: Parameters<typeof inSteps>) => toEnd(inSteps(...of));

const MM = { system: 'mm' } as const;
const RULES = DEFAULT_HOUSE_RULES;
const without = (...types: string[]): Shelf => ({
  ...SAMPLE_SHELF,
  materials: SAMPLE_SHELF.materials.filter((m) => !types.includes(m.type)),
});
const holding = (type: string, metresLeft: number): Shelf => ({
  ...SAMPLE_SHELF,
  materials: SAMPLE_SHELF.materials.map((m) => (m.type === type ? { ...m, metresLeft } : m)),
});

describe('pieces to cut', () => {
  it('are the ring and 25 mm all round of what is clamped, and what that takes of the roll', () => {
    const plan = planTicket(exampleA(), SAMPLE_SHELF, RULES);
    const [sheet] = sheetPieces(plan, SAMPLE_SHELF, RULES);
    expect(sheet).toMatchObject({ type: 'cut-away', widthMm: 182, heightMm: 190, count: 1 });
    // across the roll of 500 mm it takes 190 of its width: 182 mm of its length, and 310 × 182 mm are left
    expect(sheet?.from).toMatchObject([
      { metres: 0.182, sheet: null, offcuts: [{ widthMm: 310, heightMm: 182 }] },
    ]);
  });

  it('are the field and 25 mm of what is fused, and and 20 mm of a film', () => {
    const plan = planTicket(exampleB(), SAMPLE_SHELF, RULES);
    const pieces = sheetPieces(plan, SAMPLE_SHELF, RULES);
    const field = plan.hoop?.laid?.verdict.hoop;
    expect(pieces.map((p) => p.type)).toEqual([
      'tear-away-light-fusible',
      'tear-away-sticky',
      'soluble-film',
    ]);
    expect(pieces[0]?.widthMm).toBe((field?.fieldWidthMm ?? 0) + 50);
    expect(pieces[1]?.widthMm).toBe((field?.ringWidthMm ?? 0) + 50);
    // No room for a basting box in this field: the film is pinned outside it.
    expect(pieces[2]).toMatchObject({ widthMm: 140, heightMm: 140 });
  });

  it('are the ring and 25 mm of a fused sheet too, where the cloth floats on it alone', () => {
    const support = {
      sheets: [sheet('mesh-fusible', 'in the ring', 'fused')],
      why: 'a trial',
    };
    const own = applyChange(exampleA(), { stage: 'layers', set: { support } });
    const plan = planTicket(
      applyChange(own, { stage: 'hoop', set: { method: 'floated' } }),
      SAMPLE_SHELF,
      RULES,
    );
    const ring = plan.hoop?.laid?.verdict.hoop;
    expect(sheetPieces(plan, SAMPLE_SHELF, RULES)[0]).toMatchObject({
      type: 'mesh-fusible',
      widthMm: (ring?.ringWidthMm ?? 0) + 50,
      heightMm: (ring?.ringHeightMm ?? 0) + 50,
    });
  });

  it('of a film and a cover follow the house’s own figures', () => {
    const rules = { ...RULES, numbers: { topperBeyondMm: 25, topperHeldBeyondMm: 30 } };
    const basted = designed(exampleB(), { widthMm: 90, heightMm: 90 });
    const filmOf = (ticket: Ticket) =>
      sheetPieces(planTicket(ticket, SAMPLE_SHELF, rules), SAMPLE_SHELF, rules).find(
        (p) => p.type === 'soluble-film',
      );
    expect(filmOf(basted)).toMatchObject({ widthMm: 140, heightMm: 140 });
    expect(filmOf(exampleB())).toMatchObject({ widthMm: 160, heightMm: 160 });
  });

  it('are not cut while there is no hoop', () => {
    const plan = planTicket(exampleA(), { ...SAMPLE_SHELF, hoops: [] }, RULES);
    expect(sheetPieces(plan, SAMPLE_SHELF, RULES)).toEqual([]);
  });
});

describe('the shopping list', () => {
  it('has what is missing first, with the tickets that need it, then what is short or low', () => {
    const lines = shoppingList([exampleA(), exampleB()], { ...without('cut-away', 'mesh-fusible') }, RULES);
    expect(lines.map((l) => [l.type, l.why, l.tickets.join()])).toEqual([
      ['cut-away', 'missing', 'Rowing club crest'],
      ['#5B86A8 40 wt polyester', 'missing', 'Guesthouse monogram'],
    ]);
    expect(shoppingList([exampleA()], holding('cut-away', 0.05), RULES)[0]).toMatchObject({
      type: 'cut-away',
      why: 'short',
    });
    expect(shoppingList([], holding('tear-away', 0.6), RULES)).toMatchObject([
      { type: 'tear-away', why: 'low' },
    ]);
    expect(shoppingList([exampleA()], SAMPLE_SHELF, RULES)).toEqual([]);
  });
});

describe('supplies on the shopping list', () => {
  const supply = (type: Supply['type'], left: number): Supply => ({
    id: `supply-${type}`,
    name: type,
    type,
    left,
    machineId: null,
  });
  const lines = (supplies: Supply[], tickets = [exampleA()]) =>
    shoppingList(tickets, { ...SAMPLE_SHELF, supplies }, RULES).map((l) => [l.name, l.unit, l.why]);

  it('are none while the shop counts none', () => {
    expect(lines([])).toEqual([]);
  });

  it('are what it counts and has too few of, and what a ticket needs and it has none of', () => {
    expect(lines([supply('90', 5)])).toEqual([['75/11 ballpoint needle', 'needles', 'missing']]);
    expect(lines([supply('75-ballpoint', 1)])).toEqual([['75/11 ballpoint needle', 'needles', 'low']]);
    expect(lines([supply('75-ballpoint', 5)])).toEqual([]);
    expect(lines([supply('bobbin-60', 0.1)])).toEqual([['60 wt bobbin thread, wound', 'bobbins', 'short']]);
    expect(lines([supply('spray', 0.2)], [])).toEqual([['Temporary spray adhesive', 'cans', 'low']]);
  });

  it('do not ask for a needle that is in the machine', () => {
    const fitted = [{ type: '75-ballpoint' as const, hours: 1 }];
    const machines = SAMPLE_SHELF.machines.map((m) => ({ ...m, fitted }));
    const shelf = { ...SAMPLE_SHELF, machines, supplies: [supply('90', 5)] };
    expect(shoppingList([exampleA()], shelf, RULES)).toEqual([]);
  });
});

it('an offcut of one ticket serves the next: two need no more of the roll than one', () => {
  const narrow = {
    ...SAMPLE_SHELF,
    materials: SAMPLE_SHELF.materials.map((m) => (m.type === 'cut-away' ? { ...m, metresLeft: 0.1 } : m)),
  };
  const needed = (n: number) => shoppingList(Array<Ticket>(n).fill(exampleA()), narrow, RULES)[0]?.needed;
  expect(needed(1)).toBeCloseTo(0.182, 9);
  expect(needed(2)).toBeCloseTo(0.182, 9);
  expect(needed(3)).toBeCloseTo(0.364, 9);
});

describe('threads on the shopping list', () => {
  const withNavy = (metresLeft: number): Shelf => ({
    ...SAMPLE_SHELF,
    threads: SAMPLE_SHELF.threads.map((t) => (t.name === 'navy' ? { ...t, metresLeft } : t)),
  });

  it('are short by what the bench takes of them, low by the house number, missing when they are gone', () => {
    const why = (metresLeft: number, tickets = [exampleA()]) =>
      shoppingList(tickets, withNavy(metresLeft), RULES).map((l) => [l.name, l.why]);
    // 3 200 stitches of navy at 1.15 × 3 + 0.6 mm are 13 m
    expect(why(10)).toEqual([['Thread, navy', 'short']]);
    expect(why(40)).toEqual([['Thread, navy', 'low']]);
    expect(why(0)).toEqual([['Thread, navy', 'missing']]);
    expect(why(100)).toEqual([]);
    expect(why(49, [])).toEqual([['Thread, navy', 'low']]);
    expect(shoppingList([exampleA()], withNavy(10), RULES)[0]?.needed).toBeCloseTo(12.96, 2);
  });
});

it('a colour that no thread is close to is on the list by its own name, and its substitute is not', () => {
  const red = designed(exampleA(), { colours: [{ hex: '#C8322B', name: 'signal red', stitches: null }] });
  // 6 400 stitches at 1.15 × 3 + 0.6 mm are 25.9 m
  expect(shoppingList([red], SAMPLE_SHELF, RULES)).toMatchObject([
    { name: 'Thread like signal red #C8322B, 40 wt polyester', why: 'missing', has: 0 },
  ]);
  expect(shoppingList([red], SAMPLE_SHELF, RULES)[0]?.needed).toBeCloseTo(25.92, 2);
});

describe('a sheet that is not on the shelf', () => {
  it('has the nearest substitute, with what it costs in risk, and nothing that must never be', () => {
    const shelf = without('cut-away');
    const finding = planTicket(exampleA(), shelf, RULES).findings.find(
      (f) => f.code === 'layers-not-on-shelf',
    );
    const mend = finding?.mends[0];
    expect(say(mend?.label ?? [], MM)).toBe('Use Light mesh cut-away, fusible instead');
    expect(say(mend?.result ?? [], MM)).toMatch(/^on your shelf; .*(more|less)/);
    const plan = planTicket(mend ? applyMend(exampleA(), mend) : exampleA(), shelf, RULES);
    expect(plan.findings.filter((f) => f.stage === 'layers' && f.severity !== 'note')).toEqual([]);
    expect(plan.layers?.supportWhy).toBe('Cut-away, medium is not on the shelf');
  });

  it('has none where nothing on the shelf will do', () => {
    const onlySticky = {
      ...SAMPLE_SHELF,
      materials: SAMPLE_SHELF.materials.filter((m) => m.type === 'tear-away-sticky'),
    };
    const plan = planTicket(exampleA(), onlySticky, RULES);
    const finding = plan.findings.find((f) => f.code === 'layers-not-on-shelf');
    expect(finding?.mends).toEqual([]);
  });

  it('is left alone where the maker chose it knowing', () => {
    const overruled = applyChange(exampleA(), {
      stage: 'layers',
      set: { support: { sheets: [sheet('tear-away')], why: 'to hand' } },
    });
    expect(
      planTicket(overruled, SAMPLE_SHELF, RULES).findings.some((f) => f.code === 'layers-not-on-shelf'),
    ).toBe(false);
  });
});

it('is told for whom it runs out first, by the days they are promised for', () => {
  const crest = (id: string, due: string | null): Ticket => ({ ...exampleA(), id, name: id, due });
  const tickets = [crest('whenever', null), crest('second', '2026-12-05'), crest('first', '2026-12-01')];
  const [line] = shoppingList(tickets, holding('cut-away', 0.3), RULES).filter(
    ({ type }) => type === 'cut-away',
  );
  // The first takes 182 mm of the roll, what is left beside it serves the second, the third finds no more.
  expect(line?.runsOut).toEqual({ ticket: 'whenever', due: null });
  const [low] = shoppingList(tickets, holding('cut-away', 0.6), RULES).filter(
    ({ type }) => type === 'cut-away',
  );
  expect([low?.why, low?.runsOut]).toEqual(['low', null]);
});
