import type { Earlier, EarlierState } from '@zt/core/model/history';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import type { Ticket } from '@zt/core/model/ticket';
import { exampleA, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
let now = Date.parse('2026-11-28T08:00:00Z');
const later = (minutes: number) => {
  now += minutes * 60_000;
};

beforeEach(async () => {
  shop = await openTestApp({ now: () => new Date(now).toISOString() });
});
afterEach(() => shop.close());

const TICKET = exampleA();
let rev = 0;
async function save(name: string, more: Partial<Ticket> = {}) {
  const sending = { id: `sending-number-${rev}`, device: 'device-phone', name: 'the phone' };
  const answer = await shop.put(`/api/tickets/${TICKET.id}`, {
    ticket: { ...TICKET, name, ...more },
    rev,
    sending,
  });
  ({ rev } = await answer.json());
}
beforeEach(() => {
  rev = 0;
});
const list = async (of: string) => (await (await shop.get(`/api/history/${of}`)).json()) as Earlier[];
const state = async ({ id }: Earlier) =>
  (await (await shop.get(`/api/history/${id}`)).json()) as EarlierState;
const names = async () =>
  (await Promise.all((await list(`ticket/${TICKET.id}`)).map(state))).map(
    ({ value }) => (value as Ticket).name,
  );

it('keeps how a ticket was before each sitting, however many saves that had', async () => {
  await save('made');
  expect(await names()).toEqual([]);
  for (const name of ['o', 'oa', 'oar']) await save(name);
  later(60);
  for (const name of ['oars', 'oars and waves']) await save(name);
  expect(await names()).toEqual(['oar', 'made']);
  const [latest] = await list(`ticket/${TICKET.id}`);
  expect(latest).toMatchObject({ by: 'the phone', at: '2026-11-28T09:00:00.000Z' });
});

it('thins what is old, and what is brought back is one more change', async () => {
  await save('made');
  for (let hour = 0; hour < 80; hour += 1) {
    later(20);
    await save(`hour ${hour}`);
  }
  const kept = await names();
  expect(kept.length).toBeLessThan(18 + 27);
  expect(kept.at(-1)).toBe('made');
  later(20);
  await save('made');
  expect((await names())[0]).toBe('hour 79');
});

it('keeps earlier rules and items too, and what cannot be read any more is not found', async () => {
  const [hoop] = SAMPLE_SHELF.hoops;
  if (!hoop) throw new Error('the sample shelf has hoops');
  await shop.putItem('hoops', hoop);
  await shop.put('/api/rules', { rules: DEFAULT_HOUSE_RULES });
  later(20);
  await shop.putItem('hoops', { ...hoop, name: 'renamed' });
  await shop.put('/api/rules', { rules: { ...DEFAULT_HOUSE_RULES, units: { system: 'mm' } } });
  const [item] = await list(`shelf/${hoop.id}`);
  const [rules] = await list('rules/shop');
  expect(item && (await state(item)).value).toEqual(hoop);
  expect(rules && (await state(rules)).value).toEqual(DEFAULT_HOUSE_RULES);
  await shop.store.db.run(`UPDATE earlier_states SET value = '{}' WHERE noun = 'shelf'`);
  expect((await shop.get(`/api/history/${item?.id}`)).status).toBe(404);
  expect((await shop.get('/api/history/no-such-state')).status).toBe(404);
});
