import fc from 'fast-check';
import { MOST_COUNTED, type Shelf } from '../model/shelf';
import { SAMPLE_SHELF } from '../testing/samples';
import { amountsOf, difference, sum, withAmountsMoved } from './amounts';
import { boughtOf } from './bought';
import { putTogether } from './putTogether';

const [roll] = SAMPLE_SHELF.materials;
const [thread] = SAMPLE_SHELF.threads;
const [machine] = SAMPLE_SHELF.machines;
if (!roll || !thread || !machine) throw new Error('the sample shelf has one of each');

const count = fc.double({ min: 0, max: 500, noNaN: true }).map((n) => Math.round(n * 1e6) / 1e6);
const size = fc.record({
  widthMm: fc.constantFrom(120, 127.5, 300),
  heightMm: fc.constantFrom(90, 200),
  count: fc.integer({ min: 1, max: 5 }),
});
const rolls = fc
  .record({
    metresLeft: count,
    loose: fc.uniqueArray(size, { selector: (s) => `${s.widthMm} ${s.heightMm}` }),
  })
  .map((part): Shelf['materials'][number] => ({ ...roll, ...part }));

it('what an item had and its moves add up to what it has, whatever is asked of it', () => {
  const asked = fc.dictionary(
    fc.constantFrom('metresLeft', 'loose 300x200', 'loose 120x90', 'loose 64x64'),
    fc.double({ min: -1e7, max: 1e7, noNaN: true }),
  );
  fc.assert(
    fc.property(rolls, asked, (item, change) => {
      const had = amountsOf('materials', item);
      const { item: next, moves } = withAmountsMoved('materials', item, { had, change });
      const has = amountsOf('materials', next);
      expect(difference(sum(had, moves), has)).toEqual({});
      for (const amount of Object.values(has)) expect(amount).toBeGreaterThanOrEqual(0);
      expect(has.metresLeft).toBeLessThanOrEqual(MOST_COUNTED);
    }),
  );
});

it('a change from one item to another brings the one to the other', () => {
  fc.assert(
    fc.property(rolls, rolls, (before, after) => {
      const had = amountsOf('materials', before);
      const change = difference(had, amountsOf('materials', after));
      const { item } = withAmountsMoved('materials', before, { had, change });
      expect(amountsOf('materials', item)).toEqual(amountsOf('materials', after));
    }),
  );
});

it('what is not counted does not move, and what is no longer counted goes', () => {
  const uncounted = { ...thread, metresLeft: null };
  expect(withAmountsMoved('threads', uncounted, { had: {}, change: { metresLeft: -4 } })).toEqual({
    item: uncounted,
    moves: {},
  });
  expect(withAmountsMoved('threads', uncounted, { had: { metresLeft: 40 }, change: {} }).moves).toEqual({
    metresLeft: -40,
  });
  const single = { ...machine, needles: 1 };
  const had = { 'hours 0': 2, 'hours 1': 3 };
  expect(withAmountsMoved('machines', single, { had, change: {} }).moves).toEqual({ 'hours 1': -3 });
});

it('an item of which nothing is counted has no amounts', () => {
  const [hoop] = SAMPLE_SHELF.hoops;
  expect(hoop && amountsOf('hoops', hoop)).toEqual({});
});

it('a change put together with another’s asks of no amount, and counts both', () => {
  const theirs = { ...thread, metresLeft: 90, name: 'renamed' };
  const base = { ...thread, metresLeft: 100 };
  const item = { ...base, metresLeft: 150, hex: '#101820' };
  const who = { by: 'a phone', when: '' };
  const put = putTogether('threads', { value: theirs, had: { metresLeft: 90 } }, { item, base }, who);
  expect(put).toEqual({
    item: { ...theirs, hex: '#101820', metresLeft: 140 },
    moves: { metresLeft: 50 },
  });
});

it('what is bought of an item is what is counted of it by the metre or the piece', () => {
  const supply = { id: 'supply-tape', name: 'tape', type: 'tape', left: 3, machineId: null } as const;
  expect(boughtOf<'supplies'>(supply)).toEqual({ figure: 'left', left: 3, unit: 'm' });
  expect(boughtOf<'threads'>({ ...thread, metresLeft: 40 })).toMatchObject({
    figure: 'metresLeft',
    left: 40,
  });
  expect(boughtOf<'threads'>({ ...thread, metresLeft: null })).toBeNull();
  expect(boughtOf<'machines'>(machine)).toBeNull();
});
