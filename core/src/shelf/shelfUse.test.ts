import { planTicket } from '../plan';
import { DEFAULT_HOUSE_RULES } from '../rules/schema';
import { exampleA, exampleB, SAMPLE_SHELF } from '../testing/samples';
import type { Shelf } from './schema';
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
  expect(hours[0]).toBeCloseTo(6400 / 650 / 60, 9);
  const shelf = changed(SAMPLE_SHELF, uses, 1);
  expect(shelf.materials[0]?.metresLeft).toBeCloseTo(8 - 0.091, 6);
  expect(shelf.machines[0]?.needleHours).toBeCloseTo(2 + 6400 / 650 / 60, 6);
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
