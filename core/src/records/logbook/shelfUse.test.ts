import fc from 'fast-check';
import { toEnd } from '../../base/inSteps';
import { say } from '../../base/units/phrase';
import { shoppingList } from '../../business/shopping/shopping';
import { shelfAfter } from '../../ledger/pieceMoves';
import { sheetPieces } from '../../ledger/rolls/sheetPieces';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Shelf, Supply } from '../../model/shelf';
import type { ShelfUse } from '../../model/shelfUse';
import { applyChange } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { bobbinAfter } from '../../stages/stitch/planStitch';
import { exampleA, exampleB, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { shelfUseOf } from './shelfUse';

const useOf = (ticket = exampleA(), shelf = SAMPLE_SHELF) =>
  shelfUseOf(planTicket(ticket, shelf, DEFAULT_HOUSE_RULES), shelf, DEFAULT_HOUSE_RULES);

/** The shelf with the changed items in place of the old ones. */
function changed(shelf: Shelf, uses: ReturnType<typeof useOf>, by: 1 | -1): Shelf {
  const after = shelfAfter(uses, shelf, by);
  const put = <T extends { id: string }>(items: readonly T[]): T[] =>
    items.map((item) => (after.find((a) => a.item.id === item.id)?.item as T | undefined) ?? item);
  return {
    ...shelf,
    materials: put(shelf.materials),
    threads: put(shelf.threads),
    machines: put(shelf.machines),
    supplies: put(shelf.supplies),
  };
}

it('takes the sheet off its roll, the threads by their metres, and the needle’s time', () => {
  const uses = useOf();
  expect(uses.map((u) => [u.noun, u.id])).toEqual([
    ['materials', 'material-0'],
    ['threads', 'thread-navy'],
    ['threads', 'thread-yellow'],
    ['machines', 'machine-flat'],
  ]);
  const hours = uses.flatMap((u) => (u.noun === 'machines' ? [u.hours] : []));
  expect(hours[0]?.[0]).toBeCloseTo(6400 / 650 / 60, 9);
  const shelf = changed(SAMPLE_SHELF, uses, 1);
  expect(shelf.materials[0]).toMatchObject({
    metresLeft: 8 - 0.182,
    loose: [{ widthMm: 310, heightMm: 182, count: 1 }],
  });
  expect(shelf.machines[0]?.fitted[0]?.hours).toBeCloseTo(2 + 6400 / 650 / 60, 6);
});

it('gives back just what it took', () => {
  for (const ticket of [exampleA(), exampleB()]) {
    const uses = useOf(ticket);
    expect(changed(changed(SAMPLE_SHELF, uses, 1), uses, -1)).toEqual(SAMPLE_SHELF);
  }
});

it('takes no more than is there', () => {
  const nearlyGone = {
    ...SAMPLE_SHELF,
    threads: SAMPLE_SHELF.threads.map((t) => ({ ...t, metresLeft: 1.5 })),
  };
  const uses = useOf(exampleA(), nearlyGone);
  const after = changed(nearlyGone, uses, 1);
  expect(after.threads.map((t) => t.metresLeft)).toEqual([0, 0]);
  expect(changed(after, uses, -1)).toEqual(nearlyGone);
});

it('passes over what is no longer on the shelf, and takes nothing for a piece without a plan', () => {
  expect(shelfAfter(useOf(), { ...SAMPLE_SHELF, materials: [], threads: [], machines: [] }, 1)).toEqual([]);
  const bare = { ...exampleA(), piece: { ...exampleA().piece, readings: {} } };
  expect(useOf(bare)).toEqual([]);
});

describe('offcuts', () => {
  it('of one piece serve the next, and are given back with it', () => {
    const first = changed(SAMPLE_SHELF, useOf(), 1);
    const uses = useOf(exampleA(), first);
    expect(uses[0]).toEqual({
      noun: 'materials',
      id: 'material-0',
      name: 'cut-away',
      metres: 0,
      sheets: [{ widthMm: 310, heightMm: 182 }],
      offcuts: [{ widthMm: 120, heightMm: 182 }],
    });
    const second = changed(first, uses, 1);
    expect(second.materials[0]?.metresLeft).toBe(first.materials[0]?.metresLeft);
    expect(second.materials[0]?.loose).toEqual([{ widthMm: 120, heightMm: 182, count: 1 }]);
    expect(changed(second, uses, -1)).toEqual(first);
  });

  it('used up in between are not taken away twice', () => {
    const uses = useOf();
    const cut = changed(SAMPLE_SHELF, uses, 1);
    const usedUp = { ...cut, materials: cut.materials.map((m) => ({ ...m, loose: [] })) };
    const back = changed(usedUp, uses, -1);
    expect(back.materials[0]).toMatchObject({ metresLeft: 8, loose: [] });
  });
});

describe('supplies', () => {
  const supply = (type: Supply['type'], left: number, machineId: string | null = null): Supply => ({
    id: `supply-${type}-${machineId ?? 'all'}`,
    name: type,
    type,
    left,
    machineId,
  });
  const amounts = (shelf: Shelf, ticket = exampleA()) =>
    useOf(ticket, shelf).flatMap((u) => (u.noun === 'supplies' ? [[u.id, u.amount]] : []));

  it('of bobbin thread go by the share of a full one, of its own machine before those for all', () => {
    const supplies = [supply('bobbin-60', 4), supply('bobbin-60', 3, 'machine-flat')];
    const [[id, amount] = []] = amounts({ ...SAMPLE_SHELF, supplies });
    expect(id).toBe('supply-bobbin-60-machine-flat');
    // 6 400 stitches take 10.4 m of the 70 m on a full one
    expect(amount).toBeCloseTo(10.368 / 70, 6);
    const others = [supply('bobbin-60', 4, 'another-machine')];
    expect(amounts({ ...SAMPLE_SHELF, supplies: others })).toEqual([]);
  });

  it('of spray go by the sheet, and never below nothing', () => {
    const sprayed = applyChange(exampleA(), {
      stage: 'layers',
      set: { support: { sheets: [sheet('cut-away', 'in the ring', 'sprayed')], why: 'a trial' } },
    });
    const shelf = { ...SAMPLE_SHELF, supplies: [supply('spray', 1)] };
    expect(amounts(shelf, sprayed)).toEqual([['supply-spray-all', 1 / 60]]);
    const nearly = { ...SAMPLE_SHELF, supplies: [supply('spray', 0.01)] };
    const uses = useOf(sprayed, nearly);
    expect(changed(nearly, uses, 1).supplies[0]?.left).toBe(0);
    expect(changed(changed(nearly, uses, 1), uses, -1)).toEqual(nearly);
  });
});

it('each needle of a many-needle machine counts the hours of its own colours', () => {
  const shelf: Shelf = {
    ...SAMPLE_SHELF,
    machines: SAMPLE_SHELF.machines.map((m) => ({ ...m, needles: 3 })),
  };
  const hours = useOf(exampleA(), shelf).flatMap((u) => (u.noun === 'machines' ? u.hours : []));
  expect(hours).toEqual([3200 / 650 / 60, 3200 / 650 / 60, 0]);
  const after = changed(shelf, useOf(exampleA(), shelf), 1).machines[0];
  expect(after?.fitted.map((n) => n.hours > 0)).toEqual([true, true, false]);
});

describe('stock', () => {
  const left = (shelf: Shelf) => ({
    thread: shelf.threads.reduce((sum, t) => sum + (t.metresLeft ?? 0), 0),
    roll: shelf.materials.reduce((sum, m) => sum + m.metresLeft, 0),
    supply: shelf.supplies.reduce((sum, s) => sum + s.left, 0),
  });
  const taken = (uses: readonly ShelfUse[]) => {
    const sums = { thread: 0, roll: 0, supply: 0 };
    for (const use of uses) {
      if (use.noun === 'threads') sums.thread += use.metres;
      if (use.noun === 'materials') sums.roll += use.metres;
      if (use.noun === 'supplies') sums.supply += use.amount;
    }
    return sums;
  };
  const share = (whole: number, parts: readonly number[]): number[] => {
    const sum = parts.reduce((a, b) => a + b, 0);
    return parts.map((part) => (whole * part) / sum);
  };
  /** The sample shelf with each thing in several lots, and no loose sheets: they are no metres. */
  const splitShelf = (parts: readonly number[]): Shelf => ({
    ...SAMPLE_SHELF,
    threads: SAMPLE_SHELF.threads.flatMap((t) =>
      share(t.metresLeft ?? 0, parts).map((metresLeft, i) => ({ ...t, id: `${t.id}-${i}`, metresLeft })),
    ),
    materials: SAMPLE_SHELF.materials.flatMap((m) =>
      share(m.metresLeft, parts).map((metresLeft, i) => ({
        ...m,
        id: `${m.id}-${i}`,
        metresLeft,
        loose: [],
      })),
    ),
    supplies: share(6, parts).map((amount, i) => ({
      id: `supply-bobbin-${i}`,
      name: 'bobbins',
      type: 'bobbin-60',
      left: amount,
      machineId: null,
    })),
  });
  const act = fc.oneof(
    fc.record({
      act: fc.constant('log' as const),
      which: fc.boolean(),
      pieces: fc.integer({ min: 1, max: 30 }),
    }),
    fc.record({ act: fc.constant('take back' as const), which: fc.nat(20) }),
    fc.record({
      act: fc.constant('buy' as const),
      which: fc.nat(20),
      amount: fc.integer({ min: 1, max: 50 }),
    }),
  );

  it('is what it was and what was bought, less what lies in the entries, however it is split and whatever is done', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 4 }),
        fc.array(act, { maxLength: 10 }),
        (parts, acts) => {
          let shelf = splitShelf(parts);
          const start = left(shelf);
          const bought = { thread: 0, roll: 0, supply: 0 };
          let entries: ShelfUse[][] = [];
          for (const step of acts) {
            if (step.act === 'log') {
              const ticket = step.which ? exampleA() : exampleB();
              const order = applyChange(ticket, { stage: 'piece', set: { quantity: step.pieces } });
              const uses = useOf(order, shelf);
              shelf = changed(shelf, uses, 1);
              entries = [...entries, uses];
            } else if (step.act === 'take back') {
              const at = entries.length === 0 ? -1 : step.which % entries.length;
              if (at >= 0) shelf = changed(shelf, entries[at] ?? [], -1);
              entries = entries.filter((_, i) => i !== at);
            } else {
              const spool = shelf.threads[step.which % shelf.threads.length];
              bought.thread += step.amount;
              shelf = {
                ...shelf,
                threads: shelf.threads.map((t) =>
                  t === spool ? { ...t, metresLeft: (t.metresLeft ?? 0) + step.amount } : t,
                ),
              };
            }
            const out = taken(entries.flat());
            const now = left(shelf);
            for (const what of ['thread', 'roll', 'supply'] as const)
              expect(now[what]).toBeCloseTo(start[what] + bought[what] - out[what], 4);
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('of an empty spool beside a full one is the full one’s', () => {
    const navy = SAMPLE_SHELF.threads.find((t) => t.name === 'navy');
    if (!navy) throw new Error('the shelf has navy');
    const shelf: Shelf = {
      ...SAMPLE_SHELF,
      threads: [{ ...navy, id: 'navy-empty-1', metresLeft: 0 }, ...SAMPLE_SHELF.threads],
    };
    const plan = planTicket(exampleA(), shelf, DEFAULT_HOUSE_RULES);
    expect(plan.stitch?.stops[0]?.thread?.id).toBe(navy.id);
    expect(useOf(exampleA(), shelf).some((u) => u.id === 'navy-empty-1')).toBe(false);
  });

  it('is taken from as many boxes as it needs, the one begun first', () => {
    const bobbins = [20, 0.01].map(
      (amount, i): Supply => ({
        id: `box-${i}-of-two`,
        name: 'box',
        type: 'bobbin-60',
        left: amount,
        machineId: null,
      }),
    );
    const order = applyChange(exampleA(), { stage: 'piece', set: { quantity: 20 } });
    const uses = useOf(order, { ...SAMPLE_SHELF, supplies: bobbins });
    const boxes = uses.flatMap((u) => (u.noun === 'supplies' ? [[u.id, u.amount > 0.01]] : []));
    expect(boxes).toEqual([
      ['box-1-of-two', false],
      ['box-0-of-two', true],
    ]);
  });

  it('that is not counted is not counted down, and is never called nearly gone', () => {
    const shelf: Shelf = {
      ...SAMPLE_SHELF,
      threads: SAMPLE_SHELF.threads.map((t) => ({ ...t, metresLeft: null })),
    };
    const uses = useOf(exampleA(), shelf);
    expect(changed(shelf, uses, 1).threads.map((t) => t.metresLeft)).toEqual([null, null]);
    expect(
      toEnd(shoppingList([exampleA()], shelf, DEFAULT_HOUSE_RULES)).filter((l) =>
        l.name.startsWith('Thread'),
      ),
    ).toEqual([]);
  });
});

describe('an order of twenty', () => {
  const one = planTicket(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  const order = applyChange(exampleA(), {
    stage: 'piece',
    set: { quantity: 12, sizes: [{ name: 'L', count: 8, readings: { chestWidth: 560 } }] },
  });
  const twenty = planTicket(order, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);

  it('counts in time, thread, bobbin, sheets and needles', () => {
    const sums = (plan: typeof one) =>
      [plan.stitch?.totalMinutes, plan.stitch?.topM, plan.stitch?.bobbinNeededM] as number[];
    for (const [i, sum] of sums(twenty).entries()) expect(sum).toBeCloseTo(20 * (sums(one)[i] ?? 0), 6);
    expect(sheetPieces(twenty, SAMPLE_SHELF, DEFAULT_HOUSE_RULES)[0]?.count).toBe(20);
    const hours = (plan: typeof one) =>
      shelfUseOf(plan, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).flatMap((u) =>
        u.noun === 'machines' ? u.hours : [],
      );
    expect(hours(twenty)[0]).toBeCloseTo(20 * (hours(one)[0] ?? 0), 6);
  });

  it('says in which piece the bobbin runs out', () => {
    const found = twenty.findings.find((f) => f.code === 'stitch-bobbin');
    expect(say(found?.text ?? [], { system: 'mm' })).toMatch(
      /^The bobbin runs out in piece \d+ of 20, colour \d/,
    );
  });

  it('leaves a bobbin in the machine that the next piece begins with; taking it back leaves the one before', () => {
    const uses = useOf(order);
    const after = changed(SAMPLE_SHELF, uses, 1);
    const bobbin = after.machines[0]?.bobbinLeftM ?? null;
    expect(bobbin).toBeCloseTo(twenty.stitch?.bobbinAfterM ?? -1, 4);
    expect(planTicket(exampleA(), after, DEFAULT_HOUSE_RULES).stitch?.bobbinLeftM).toBe(bobbin);
    expect(changed(after, uses, -1).machines[0]?.bobbinLeftM).toBeNull();
  });

  it('never leaves more than a full bobbin, nor less than none', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 70, noNaN: true }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        (start, taken) => {
          const after = bobbinAfter(start, taken, 70);
          expect(after).toBeGreaterThanOrEqual(0);
          expect(after).toBeLessThanOrEqual(70);
          const put = Math.round((after + taken - start) / 70);
          expect(start + 70 * put - taken).toBeCloseTo(after, 6);
        },
      ),
    );
  });
});
