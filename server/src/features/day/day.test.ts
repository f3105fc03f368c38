import { toEnd } from '@zt/core/base/inSteps';
import { shoppingList } from '@zt/core/business/shopping/shopping';
import { type DayAnswer, type DaySheet, EMPTY_DAY, withStand, workId } from '@zt/core/model/day';
import type { Exported } from '@zt/core/model/exported';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import { newOrder } from '@zt/core/model/order';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

const day = async (): Promise<DayAnswer> => (await shop.get('/api/day')).json();
const save = async (sheet: DaySheet, base?: DaySheet): Promise<DaySheet> =>
  (await shop.put('/api/day', { sheet, base })).json();
const keep = (id: string, more: Partial<ReturnType<typeof exampleA>> = {}) =>
  shop.put(`/api/tickets/${id}`, { ticket: { ...exampleA(), id, ...more }, rev: 0 });
const OFF = { at: 'off', sinceMs: 1_796_000_000_000 } as const;

it('has the tickets that are due first: by their own day or that of their order, the sooner; not what is only asked for', async () => {
  const order = (id: string, due: string | null, state: 'asked' | 'agreed') =>
    shop.put(`/api/orders/${id}`, { order: { ...newOrder(id, 'Tees', '2026-11-01'), due, state } });
  await order('order-agreed', '2026-12-03', 'agreed');
  await order('order-asked-for', '2026-12-01', 'asked');
  await keep('ticket-whenever');
  await keep('ticket-of-order', { orderId: 'order-agreed' });
  await keep('ticket-of-day', { due: '2026-12-02' });
  await keep('ticket-later-than-order', { orderId: 'order-agreed', due: '2026-12-09' });
  await keep('ticket-before-order', { orderId: 'order-agreed', due: '2026-12-01' });
  await keep('ticket-not-agreed', { orderId: 'order-asked-for' });
  const { tickets, more } = await day();
  expect(tickets.map(({ ticket, due }) => [ticket.id, due])).toEqual([
    ['ticket-before-order', '2026-12-01'],
    ['ticket-of-day', '2026-12-02'],
    ['ticket-later-than-order', '2026-12-03'],
    ['ticket-of-order', '2026-12-03'],
    ['ticket-whenever', null],
  ]);
  expect(more).toEqual({ tickets: 0, notAgreed: 1 });
});

it('what waits for another day is named, and more than is looked at is counted', async () => {
  for (let i = 0; i < 63; i += 1) await keep(`ticket-number-${100 + i}`);
  await shop.put('/api/tickets/ticket-that-waits', {
    ticket: { ...exampleB(), id: 'ticket-that-waits' },
    rev: 0,
  });
  await save({ ...EMPTY_DAY, later: ['ticket-that-waits'] });
  const { tickets, later, more } = await day();
  expect([tickets.length, more.tickets]).toEqual([60, 3]);
  expect(later).toEqual([{ id: 'ticket-that-waits', name: 'Guesthouse monogram' }]);
});

it('two benches that plan at once lose nothing of one another: what both said of one piece is offered', async () => {
  await keep('ticket-of-both');
  const [one, two] = [workId('ticket-of-both', 0), workId('ticket-of-both', 1)];
  const before = await save(EMPTY_DAY);
  await save({ ...withStand(before, one, OFF), pinned: [one] }, before);
  const hooped = { at: 'hooped', hoop: 'hoop-number-a', sinceMs: 1_796_000_100_000 } as const;
  const both = await save({ ...withStand(withStand(before, two, OFF), one, hooped), pinned: [two] }, before);
  expect(both.stands[two]).toEqual(OFF);
  expect(both.stands[one]).toEqual(OFF);
  expect(both.pinned).toEqual([one, two]);
  expect(Object.values(both.offers ?? {})).toMatchObject([{ at: `stands.${one}`, value: hooped }]);
});

it('goes with all data to another place', async () => {
  await save({ ...EMPTY_DAY, pinned: ['ticket-somewhere:0:0'] });
  const text = await (await shop.get('/api/export')).text();
  expect((JSON.parse(text) as Exported).day.pinned).toEqual(['ticket-somewhere:0:0']);
});

it('a sheet that says what cannot be is refused by its field', async () => {
  const refused = await shop.put('/api/day', {
    sheet: { ...EMPTY_DAY, stands: { 'a:0:0': { at: 'lost' } } },
  });
  expect(refused.status).toBe(400);
  expect(JSON.stringify(await refused.json())).toContain('sheet.stands.a:0:0');
});

it('the cut plan is printed, once there is something to cut and something to cut it from', async () => {
  const empty = await shop.raw('/api/day/cutting.pdf');
  expect([empty.status, ((await empty.json()) as { code: string }).code]).toEqual([409, 'nothing-to-cut']);
  for (const noun of ['machines', 'hoops', 'materials', 'threads'] as const)
    for (const item of SAMPLE_SHELF[noun]) await shop.putItem(noun, item);
  await keep('ticket-to-cut', { piece: { ...exampleA().piece, quantity: 5 } });
  for (const paper of ['a4', 'a5'])
    expect((await shop.raw(`/api/day/cutting.pdf?paper=${paper}`)).headers.get('content-type')).toBe(
      'application/pdf',
    );
});

it('what to buy is a table with the very lines that the shelf lists, of what is only asked for too', async () => {
  for (const noun of ['machines', 'hoops', 'threads'] as const)
    for (const item of SAMPLE_SHELF[noun]) await shop.putItem(noun, item);
  const order = { ...newOrder('order-asked-for', 'Tees', '2026-11-01'), state: 'asked' };
  await shop.put(`/api/orders/${order.id}`, { order });
  await keep('ticket-to-buy-for', { orderId: order.id, name: 'Tees that are asked for' });
  const table = await shop.raw('/api/day/shopping.csv');
  expect(table.headers.get('content-type')).toContain('text/csv');
  const [head, ...rows] = (await table.text()).split('\r\n');
  expect(head).toBe('supplier,what,needed,here,to buy,unit,why,for,runs out');
  const ticket = { ...exampleA(), name: 'Tees that are asked for' };
  const listed = toEnd(shoppingList([ticket], { ...SAMPLE_SHELF, materials: [] }, DEFAULT_HOUSE_RULES));
  expect(rows).toHaveLength(listed.length);
  for (const { name } of listed) expect(rows.some((row) => row.includes(name))).toBe(true);
  expect(rows[0]).toContain('Tees that are asked for');
});

it('tells how many pieces of the logbook were lost', async () => {
  expect((await day()).spoilt).toEqual({ pieces: 0, spoilt: 0 });
});

it('pieces of tickets that are made are let go once there are many, so that a sheet is never too large to save', async () => {
  await keep('ticket-still-open');
  const made = Object.fromEntries(
    Array.from({ length: 600 }, (_, i) => [workId(`ticket-long-made-${i}`, 0), OFF] as const),
  );
  const stands = { ...made, [workId('ticket-still-open', 0)]: OFF };
  const sheet = { ...EMPTY_DAY, stands, pinned: ['ticket-long-made-1:0:0'], later: ['ticket-long-made-2'] };
  const kept = await save(sheet);
  expect(Object.keys(kept.stands)).toEqual([workId('ticket-still-open', 0)]);
  expect([kept.pinned, kept.later]).toEqual([[], []]);
});
