import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import { newOrder } from '@zt/core/model/order';
import type { WeeksAnswer } from '@zt/core/model/weeks';
import { exampleA } from '@zt/core/testing/samples';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

const weeks = async (question = ''): Promise<WeeksAnswer> => (await shop.get(`/api/weeks${question}`)).json();

it('tells week by week what was made, earned and changed', async () => {
  const ticket = {
    ...exampleA(),
    id: 'ticket-of-the-week',
    log: { ...exampleA().log, minutes: { stitch: 14 } },
  };
  await shop.put(`/api/tickets/${ticket.id}`, { ticket, rev: 0 });
  await shop.post('/api/logbook', { id: 'entry-of-the-week', ticket });
  const today = new Date().toISOString().slice(0, 10);
  for (const [id, costMinor] of [
    ['order-with-cost', 6_000],
    ['order-without-it', null],
  ] as const)
    await shop.put(`/api/orders/${id}`, {
      order: {
        ...newOrder(id, id, today),
        state: 'handed over',
        since: { asked: today, 'handed over': today },
        promisedMinor: 10_000,
        costMinor,
      },
    });
  for (const numbers of [{ hoopMinutes: 4 }, { hoopMinutes: 5 }, { hoopMinutes: 5, mountMinutes: 2 }])
    await shop.put('/api/rules', { rules: { ...DEFAULT_HOUSE_RULES, numbers } });
  const answer = await weeks('?weeks=3');
  expect(answer.weeks).toHaveLength(3);
  expect(answer.weeks.at(-1)).toMatchObject({
    pieces: 1,
    spoilt: 0,
    orders: 2,
    promisedMinor: 20_000,
    countedMinor: 10_000,
    costMinor: 6_000,
  });
  expect(answer.earned.map(({ id, costMinor }) => [id, costMinor])).toEqual([
    ['order-with-cost', 6_000],
    ['order-without-it', null],
  ]);
  expect(answer.numbers.map(({ id }) => id)).toContain('hoopMinutes');
  const table = await (await shop.raw('/api/weeks/weeks.csv?weeks=3')).text();
  expect(table.split('\r\n')).toHaveLength(4);
  expect(table).toContain('promised EUR');
});

it('a shop without a past has weeks with nothing in them; more weeks than are told are refused', async () => {
  expect((await weeks()).weeks.map(({ pieces, orders }) => pieces + orders)).toEqual(Array(12).fill(0));
  expect((await shop.raw('/api/weeks?weeks=53')).status).toBe(400);
});
