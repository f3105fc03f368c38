import { planTicket } from '../plan';
import { DEFAULT_HOUSE_RULES } from '../rules/schema';
import { exampleA, exampleB, SAMPLE_SHELF, sheet } from '../testing/samples';
import { applyChange } from '../ticket';
import type { Shelf, Supply } from './schema';
import { shelfAfter, shelfUseOf } from './shelfUse';

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
