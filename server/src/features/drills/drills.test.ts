import type { DrillCard } from '@zt/core/model/drillCard';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

const CARD: DrillCard = {
  key: 'stack jersey-tee',
  due: '2026-05-05T10:00:00.000Z',
  last: '2026-05-04T10:00:00.000Z',
  begun: '2026-05-04T10:00:00.000Z',
  stability: 2.3,
  difficulty: 5.1,
  elapsedDays: 0,
  scheduledDays: 2,
  learningSteps: 0,
  reps: 1,
  lapses: 0,
  state: 2,
  asked: 1,
  right: 1,
};
const address = `/api/drills/${encodeURIComponent(CARD.key)}`;
const kept = async () => (await shop.get('/api/drills')).json();

it('keeps how far a topic is learned, the last word of it', async () => {
  expect(await kept()).toEqual([]);
  expect((await shop.put(address, CARD)).status).toBe(200);
  await shop.put(address, { ...CARD, asked: 2, right: 1, lapses: 1 });
  expect(await kept()).toEqual([{ ...CARD, asked: 2, right: 1, lapses: 1 }]);
});

it('refuses what is none, and leaves out what cannot be read', async () => {
  const refused = await shop.put(address, { ...CARD, due: 'soon' });
  expect([refused.status, (await refused.json()).issues[0].path]).toEqual([400, 'due']);
  await shop.put(address, CARD);
  await shop.store.db.run("UPDATE drill_cards SET card = '{}'");
  expect(await kept()).toEqual([]);
});
