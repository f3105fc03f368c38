import { DEFAULT_HOUSE_RULES, type Shelf } from '@zt/core';
import { type Exported, ExportedSchema } from '@zt/core/model/exported';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { openTestApp, type TestApp } from '../../testing/testApp';

let from: TestApp;
let to: TestApp;
beforeEach(async () => {
  [from, to] = [await openTestApp(), await openTestApp()];
  for (const noun of ['machines', 'hoops', 'materials', 'threads'] as const)
    for (const item of SAMPLE_SHELF[noun]) await from.putItem(noun, item);
  for (const ticket of [exampleA(), exampleB()])
    await from.put(`/api/tickets/${ticket.id}`, { ticket, rev: 0 });
  await from.post('/api/logbook', { id: 'entry-number-1', ticket: exampleA() });
  await from.put('/api/rules', { rules: { ...DEFAULT_HOUSE_RULES, units: { system: 'mm' } } });
});
afterEach(async () => {
  await from.close();
  await to.close();
});

const all = async (shop: TestApp) => (await (await shop.get('/api/export')).json()) as Exported;
const { bring } = { bring: async (document: unknown) => to.post('/api/export', document) };

it('all of a shop, taken to an empty one, is all there: tickets, shelf with its ledger, rules, logbook', async () => {
  const document = await all(from);
  expect(ExportedSchema.parse(document)).toEqual(document);
  const brought = await (await bring(document)).json();
  const items = Object.values(document.shelf).reduce((sum, list) => sum + list.length, 0);
  expect(brought).toEqual({ tickets: 2, items, entries: 1, rules: true, known: 0 });
  expect({ ...(await all(to)), exportedAt: '' }).toEqual({ ...document, exportedAt: '' });
});

it('what is here stays as it is, and bringing it in twice brings nothing', async () => {
  const [navy] = SAMPLE_SHELF.threads;
  await to.putItem('threads', { ...navy, name: 'of this shop' });
  const document = await all(from);
  await bring(document);
  const once = await all(to);
  expect((once.shelf as Shelf).threads.map(({ name }) => name)).toContain('of this shop');
  const again = await (await bring(document)).json();
  expect([again.tickets, again.items, again.entries, again.rules]).toEqual([0, 0, 0, false]);
  expect({ ...(await all(to)), exportedAt: '' }).toEqual({ ...once, exportedAt: '' });
  // A backup stands before each of them.
  const { kept } = await (await to.get('/api/backups')).json();
  expect(kept).toHaveLength(2);
});

it('names the line of what cannot be read, and brings nothing in', async () => {
  const document = await all(from);
  const [first, ...others] = document.tickets;
  const wrong = {
    ...document,
    tickets: [...others, { ...first, ticket: { ...first?.ticket, due: 'soon' } }],
  };
  const refused = await bring(wrong);
  expect([refused.status, (await refused.json()).issues[0].path]).toEqual([400, 'tickets.1.ticket.due']);
  expect((await all(to)).tickets).toEqual([]);
});

it('publishes the schema of the document', async () => {
  const schema = await (await from.get('/api/export/schema')).json();
  expect(Object.keys(schema.properties).sort()).toEqual(Object.keys(await all(from)).sort());
});
