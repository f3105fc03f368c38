import type { LogPage, SavedSearch } from '@zt/core/model/api';
import { newTicket } from '@zt/core/planner/newTicket';
import type { Advice } from '@zt/core/records/evidence/advice';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { openTestApp, type TestApp } from '../../testing/testApp';
import { tellFactsAnew } from './facts';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
  for (const noun of ['machines', 'hoops', 'materials', 'threads'] as const)
    for (const item of SAMPLE_SHELF[noun]) await shop.putItem(noun, item);
});
afterEach(() => shop.close());

type Log = ReturnType<typeof exampleA>['log'];

/** Logs a ticket under a number. */
async function log(n: number, ticket = exampleA(), report: Partial<Log> = {}) {
  const of = { ...ticket, id: `ticket-to-find-${n}`, log: { ...ticket.log, ...report } };
  await shop.put(`/api/tickets/${of.id}`, { ticket: of, rev: 0 });
  expect((await shop.post('/api/logbook', { id: `entry-to-find-${n}`, ticket: of })).status).toBe(201);
  return of;
}
const page = async (query = ''): Promise<LogPage> => (await shop.get(`/api/logbook?${query}`)).json();
const ids = async (query: string) =>
  (await page(query)).entries.map(({ id }) => Number(id.split('-').at(-1))).sort();

describe('words', () => {
  it('are found wherever they stand: name, note, cloth, thread, customer; from their first letters, whatever their accents', async () => {
    await log(
      1,
      { ...exampleA(), name: 'Café apron', customer: 'Ida Fjord' },
      { note: 'Film came off in one piece.' },
    );
    await log(2, { ...exampleB(), name: 'Pool towel' }, { nextTime: 'Baste it next time.', by: 'Runa' });
    expect(await ids('q=cafe')).toEqual([1]);
    expect(await ids('q=FILM')).toEqual([1]);
    expect(await ids('q=fjo')).toEqual([1]);
    expect(await ids('q=terry')).toEqual([2]);
    expect(await ids('q=baste%20runa')).toEqual([2]);
    expect(await ids('q=baste%20cafe')).toEqual([]);
    // What means something to a search engine is a word like any other.
    for (const odd of ['"', 'AND OR NOT', '*', 'NEAR(', 'words:', '^', "';--"])
      expect((await shop.get(`/api/logbook?q=${encodeURIComponent(odd)}`)).status).toBe(200);
  });

  it('of an entry that was taken back are found no more, and again once it is back', async () => {
    const ticket = await log(1, { ...exampleA(), name: 'Regatta tee' });
    await shop.remove('/api/logbook/entry-to-find-1');
    expect(await ids('q=regatta')).toEqual([]);
    expect((await page()).facets.kind).toEqual([]);
    await shop.post('/api/logbook', { id: 'entry-to-find-1', ticket });
    expect(await ids('q=regatta')).toEqual([1]);
    expect((await page()).facets.kind).toEqual([{ value: 't-shirt', n: 1 }]);
  });
});

it('counts beside every value what it would leave, and takes many values of one facet', async () => {
  await log(1, exampleA(), { faults: { puckering: 2 }, by: 'Nils' });
  await log(2, exampleA(), { by: 'Runa' });
  await log(3, exampleB(), { by: 'Runa' });
  const { facets, counts } = await page('who=Runa');
  expect(counts).toEqual({ good: 2, slight: 0, plain: 0, spoilt: 0 });
  expect(facets.who).toEqual([
    { value: 'Runa', n: 2 },
    { value: 'Nils', n: 1 },
  ]);
  expect(facets.kind.map(({ n }) => n)).toEqual([1, 1]);
  expect(facets.stack.length).toBe(2);
  expect(await ids('who=Runa&who=Nils')).toEqual([1, 2, 3]);
  expect(await ids('outcome=plain&outcome=good&kind=t-shirt')).toEqual([1, 2]);
  expect(await ids('from=2026-05-05')).toEqual([]);
  expect(await ids('from=2026-05-04&to=2026-05-04')).toEqual([1, 2, 3]);
  for (const bad of ['outcome=wonderful', 'from=yesterday', 'use=hat', 'method=glued'])
    expect((await shop.get(`/api/logbook?${bad}`)).status).toBe(400);
});

it('tells the facts of entries anew that an earlier version told by their line alone', async () => {
  await log(1, exampleA(), { by: 'Nils', note: 'flat' });
  const before = await page();
  await shop.store.db.run(
    "UPDATE log_facts SET version = 0, who = '', rank = NULL, stack = NULL, learned = NULL",
  );
  expect(await tellFactsAnew(shop.store)).toBe(1);
  expect(await tellFactsAnew(shop.store)).toBe(0);
  expect((await page()).facets).toEqual(before.facets);
  expect(await ids('q=flat')).toEqual([1]);
});

it('keeps searches under a name, and again after they were taken off', async () => {
  const search: SavedSearch = {
    id: 'search-of-tests',
    name: 'Puckered tees',
    filter: { kind: ['t-shirt'], outcome: ['plain'] },
  };
  const kept = async () => (await shop.get('/api/searches')).json();
  expect((await shop.put('/api/searches/search-of-tests', search)).status).toBe(200);
  expect(await kept()).toEqual([search]);
  await shop.put('/api/searches/search-of-tests', { ...search, name: 'Tees' });
  expect(await kept()).toEqual([{ ...search, name: 'Tees' }]);
  expect((await shop.remove('/api/searches/search-of-tests')).status).toBe(200);
  expect((await shop.remove('/api/searches/search-of-tests')).status).toBe(404);
  expect(await kept()).toEqual([]);
  expect((await shop.put('/api/searches/search-of-tests', { ...search, name: '' })).status).toBe(400);
});

describe('advice', () => {
  const advice = async (ticket = exampleA()): Promise<Advice> =>
    (await shop.post('/api/logbook/advice', { ticket })).json();

  it('follows the logbook: a puckered piece raises the chance on the next like it, taken back it does so no more', async () => {
    for (const n of [1, 2, 3, 4]) await log(n);
    const planned = ({ stacks }: Advice) => stacks.find((stack) => stack.planned);
    const before = await advice();
    expect(before.text).toBeNull();
    expect(planned(before)?.pieces).toBe(4);
    await log(5, exampleA(), { faults: { puckering: 3 } });
    const after = await advice();
    expect(after.text?.join(' ')).toMatch(/like this.*clean.*puckering/s);
    expect(planned(after)?.any.percent).toBeGreaterThan((planned(before)?.any.percent ?? 100) + 2);
    await shop.remove('/api/logbook/entry-to-find-5');
    expect(await advice()).toEqual(before);
  });

  it('asks nobody to look again, and is null for a ticket without layers', async () => {
    const told: unknown[] = [];
    shop.context.changes.listen((change) => told.push(change));
    expect(await advice(newTicket('ticket-of-nothing', 't-shirt'))).toBeNull();
    expect(told).toEqual([]);
    expect((await shop.post('/api/logbook/advice', { ticketId: 'no-such-ticket' })).status).toBe(404);
  });
});
