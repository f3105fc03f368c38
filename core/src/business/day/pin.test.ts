import { EMPTY_DAY } from '../../model/day';
import { dayAsked, dueOn, plannedDay } from '../../testing/dayAsked';
import { exampleA, exampleB } from '../../testing/samples';
import { orderOnMachine, pinnedAt, placeAt } from './pin';

const crests = { ...exampleA(), piece: { ...exampleA().piece, quantity: 3 } };
const tickets = dueOn(null, crests, exampleB());
const plan = plannedDay(dayAsked(tickets));
const idsOf = (order: readonly number[]) => order.map((work) => plan.works[work]?.id ?? '');

it('a piece that is put elsewhere stays there with what is before it, and a plan made with that follows', () => {
  const order = orderOnMachine(plan, 0);
  expect(order).toHaveLength(4);
  for (const [from, work] of order.entries())
    for (let at = 0; at < 4; at += 1) {
      const pinned = pinnedAt(plan, { work, at }, []);
      const others = order.filter((one) => one !== work);
      expect(pinned).toEqual(idsOf([...others.slice(0, at), work]));
      if (from === at) continue;
      const next = plannedDay(dayAsked(tickets, { sheet: { ...EMPTY_DAY, pinned } }));
      const now = orderOnMachine(next, 0).map((one) => next.works[one]?.id);
      expect(now.slice(0, pinned.length)).toEqual(pinned);
    }
});

it('pins behind it, and of other machines, stay', () => {
  const [first = 0, second = 0, third = 0, last = 0] = orderOnMachine(plan, 0);
  const [a, b, c, d] = idsOf([first, second, third, last]);
  expect(pinnedAt(plan, { work: third, at: 0 }, ['elsewhere:0:0', String(a), String(d)])).toEqual([
    'elsewhere:0:0',
    c,
    a,
    d,
  ]);
  expect(pinnedAt(plan, { work: second, at: 99 }, [])).toEqual([a, c, d, b]);
  expect(pinnedAt({ ...plan, hands: [] }, { work: second, at: 0 }, ['x'])).toEqual(['x']);
});

it('a piece that is let go anywhere along its machine comes between those it lies between', () => {
  const order = orderOnMachine(plan, 0);
  const on = plan.machines.flatMap((machine) => machine.on);
  const middles = order.map((work) => {
    const own = on.filter((stretch) => stretch.work === work);
    return ((own[0]?.fromMs ?? 0) + (own.at(-1)?.toMs ?? 0)) / 2;
  });
  const [first = 0, last = 0] = [order[0], order.at(-1)];
  expect(placeAt(plan, { work: last, atMs: (middles[0] ?? 0) - 1 })).toBe(0);
  expect(placeAt(plan, { work: last, atMs: (middles[1] ?? 0) + 1 })).toBe(2);
  expect(placeAt(plan, { work: first, atMs: (middles.at(-1) ?? 0) + 1 })).toBe(3);
  // Let go where it was, it stays.
  for (const [i, work] of order.entries()) expect(placeAt(plan, { work, atMs: middles[i] ?? 0 })).toBe(i);
});
