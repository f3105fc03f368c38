import { createClient } from '@libsql/client';
import { SET_ASIDE_PLACES, type SetAside } from '@zt/core/model/api';
import { DAY_ID, EMPTY_DAY } from '@zt/core/model/day';
import type { Exported } from '@zt/core/model/exported';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import { newOrder } from '@zt/core/model/order';
import { MOST_COUNTED } from '@zt/core/model/shelf';
import type { Ticket } from '@zt/core/model/ticket';
import { designed } from '@zt/core/testing/designed';
import { exampleA, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { openTestApp, type TestApp } from './testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

const body = async (answer: Promise<{ json: () => Promise<unknown> }>) => (await answer).json() as never;
const save = (ticket: Ticket, rev = 0) => shop.put(`/api/tickets/${ticket.id}`, { ticket, rev });
const sql = (statement: string, ...args: string[]) => shop.store.db.$client.execute({ sql: statement, args });
const fill = async () => {
  for (const noun of ['machines', 'hoops', 'threads', 'materials'] as const)
    for (const item of SAMPLE_SHELF[noun]) await shop.putItem(noun, item);
};
const entryOf = (ticket: Ticket, id: string) => ({ id, ticket });

/** A row of each noun as the shop keeps it, with a field that its schema does not take, and what is saved over it. */
const UNREADABLE: Record<
  SetAside['place'],
  { table: string; column: string; id: string; over: [string, object] | null }
> = {
  shelf: { table: 'shelf_items', column: 'item', id: 'thread-of-noun', over: null },
  tickets: { table: 'tickets', column: 'ticket', id: exampleA().id, over: null },
  logbook: { table: 'log_entries', column: 'summary', id: 'entry-of-noun', over: null },
  orders: {
    table: 'orders',
    column: 'order',
    id: 'order-of-noun',
    over: ['/api/orders/order-of-noun', { order: newOrder('order-of-noun', 'Napkins', '2026-12-02') }],
  },
  customers: {
    table: 'customers',
    column: 'customer',
    id: 'customer-of-noun',
    over: [
      '/api/customers/customer-of-noun',
      { customer: { id: 'customer-of-noun', name: 'Tove Lantern', contact: '', note: '' } },
    ],
  },
  day: { table: 'day_sheets', column: 'sheet', id: DAY_ID, over: ['/api/day', { sheet: EMPTY_DAY }] },
  rules: { table: 'house_rules', column: 'rules', id: 'shop', over: null },
  searches: { table: 'searches', column: 'filter', id: 'search-of-noun', over: null },
};

describe('a row of any noun that cannot be read', () => {
  const textOf = async (table: string, column: string, id: string): Promise<unknown> =>
    (await sql(`SELECT "${column}" AS text FROM ${table} WHERE id = ?`, id)).rows[0]?.text;

  it.each(SET_ASIDE_PLACES)(
    '%s: is named, stands in all data as it is kept, and nothing is written over it',
    async (place) => {
      await fill();
      const [thread] = SAMPLE_SHELF.threads;
      await shop.putItem('threads', { ...thread, id: 'thread-of-noun' });
      await save(exampleA());
      await save({ ...exampleA(), id: 'ticket-of-entry' });
      await shop.post('/api/logbook', entryOf({ ...exampleA(), id: 'ticket-of-entry' }, 'entry-of-noun'));
      await shop.put('/api/orders/order-of-noun', UNREADABLE.orders.over?.[1] ?? {});
      await shop.put('/api/customers/customer-of-noun', UNREADABLE.customers.over?.[1] ?? {});
      await shop.put('/api/day', { sheet: EMPTY_DAY });
      await shop.put('/api/rules', { rules: DEFAULT_HOUSE_RULES });
      await shop.put('/api/searches/search-of-noun', {
        id: 'search-of-noun',
        name: 'Tees',
        filter: { kind: 't-shirt' },
      });
      const { table, column, id, over } = UNREADABLE[place];
      expect(await textOf(table, column, id)).toBeDefined();
      await sql(`UPDATE ${table} SET "${column}" = '{not json' WHERE id = ?`, id);
      const asideOf = async (): Promise<{ place: string; id: string }[]> => body(shop.get('/api/set-aside'));
      expect((await asideOf()).map((row) => [row.place, row.id])).toEqual([[place, id]]);
      const { setAside } = JSON.parse(await (await shop.get('/api/export')).text()) as Exported;
      expect(setAside).toMatchObject([{ place, id, text: '{not json' }]);
      if (over) expect((await shop.put(...over)).status).toBe(409);
      expect(await textOf(table, column, id)).toBe('{not json');
      expect((await shop.remove(`/api/set-aside/${place}/${id}`)).status).toBe(200);
      expect(await asideOf()).toEqual([]);
      expect((await shop.post(`/api/set-aside/${place}/${id}/restore`)).status).toBe(200);
      expect(await asideOf()).toHaveLength(1);
      if (!over) return;
      // Once it is out of the way it is saved anew, and how it was is among its earlier states.
      await shop.remove(`/api/set-aside/${place}/${id}`);
      expect((await shop.put(...over)).status).toBe(200);
      const kept = await sql("SELECT value FROM earlier_states WHERE value = '{not json'");
      expect(kept.rows).toHaveLength(1);
    },
  );
});

describe('one row that cannot be read', () => {
  const [thread] = SAMPLE_SHELF.threads;
  const spool = { ...thread, id: 'thread-of-old', name: 'Old spool', metresLeft: 2 * MOST_COUNTED };
  const put = (item: object) =>
    sql(
      "INSERT INTO shelf_items (id, noun, item) VALUES ('thread-of-old', 'threads', ?)",
      JSON.stringify(item),
    );

  it('is set aside and named; shelf, plans, logging and taking back go on', async () => {
    await fill();
    await put(spool);
    await sql("INSERT INTO shelf_items (id, noun, item) VALUES ('damaged-row-1', 'hoops', '{not json')");
    expect((await shop.get('/api/shelf')).status).toBe(200);
    expect((await shop.post('/api/plan', { ticket: exampleA() })).status).toBe(200);
    await save(exampleA());
    expect((await shop.post('/api/logbook', entryOf(exampleA(), 'entry-number-1'))).status).toBe(201);
    expect((await shop.remove('/api/logbook/entry-number-1')).status).toBe(200);
    const rows: { name: string; why: string; canMend: boolean }[] = await body(shop.get('/api/set-aside'));
    expect(rows.map(({ name, why, canMend }) => [name, why, canMend])).toEqual([
      ['damaged-row-1', 'What is kept of it is damaged.', false],
      ['Old spool', 'metres left takes a number from 0 to 1 000 000.', true],
    ]);
  });

  it('is mended: empty where it may be, and what it held beside its field', async () => {
    await put(spool);
    expect((await shop.post('/api/set-aside/shelf/thread-of-old/mend')).status).toBe(200);
    const { threads } = (await body(shop.get('/api/shelf'))) as typeof SAMPLE_SHELF;
    expect(threads.map((t) => [t.metresLeft, t.unread])).toEqual([[null, { metresLeft: '2000000' }]]);
    expect(await body(shop.get('/api/set-aside'))).toEqual([]);
  });

  it('is taken away and put back', async () => {
    await put(spool);
    expect((await shop.remove('/api/set-aside/shelf/thread-of-old')).status).toBe(200);
    expect(await body(shop.get('/api/set-aside'))).toEqual([]);
    expect((await shop.post('/api/set-aside/shelf/thread-of-old/restore')).status).toBe(200);
    expect(await body(shop.get('/api/set-aside'))).toHaveLength(1);
    expect((await shop.remove('/api/set-aside/shelf/no-such-row')).status).toBe(404);
  });

  it('may be a ticket: the others are on the bench, and it comes back with what was past its bounds', async () => {
    await save(exampleA());
    const far = designed(exampleA(), { widthMm: 1_000_000 });
    await sql(
      "INSERT INTO tickets (id, ticket, rev, updated_at) VALUES ('ticket-too-far', ?, 3, '')",
      JSON.stringify({ ...far, id: 'ticket-too-far' }),
    );
    expect(await shop.bench()).toHaveLength(1);
    expect((await shop.get('/api/tickets/ticket-too-far')).status).toBe(404);
    expect((await shop.post('/api/set-aside/tickets/ticket-too-far/mend')).status).toBe(200);
    const kept = (await body(shop.get('/api/tickets/ticket-too-far'))) as { ticket: Ticket; rev: number };
    expect([kept.ticket.design.parts[0]?.widthMm, kept.ticket.unread, kept.rev]).toEqual([
      null,
      { 'design.parts.0.widthMm': '1000000' },
      4,
    ]);
  });

  it('may be a line of the logbook: it is made anew from its entry', async () => {
    await save(exampleA());
    await shop.post('/api/logbook', entryOf(exampleA(), 'entry-number-1'));
    await sql("UPDATE log_entries SET summary = '{}'");
    expect(await shop.logged()).toEqual([]);
    expect(await body(shop.get('/api/set-aside'))).toMatchObject([{ place: 'logbook', canMend: true }]);
    await shop.post('/api/set-aside/logbook/entry-number-1/mend');
    expect(await shop.logged()).toHaveLength(1);
  });

  it('may be the house rules: what can be read of them is followed', async () => {
    await sql(
      "INSERT INTO house_rules (id, rules) VALUES ('shop', ?)",
      JSON.stringify({
        units: { system: 'mm' },
        schools: { layerCount: 'nobody' },
        numbers: { needleHours: -5 },
      }),
    );
    expect(await body(shop.get('/api/rules'))).toMatchObject({ units: { system: 'mm' }, schools: {} });
  });
});

it('a sum past its bound stays at the bound, and everything can be read after', async () => {
  await fill();
  const [machine] = SAMPLE_SHELF.machines;
  if (!machine) throw new Error('the shelf has a machine');
  const worn = { ...machine, fitted: [{ type: null, hours: MOST_COUNTED }] };
  expect((await shop.putItem('machines', worn)).status).toBe(200);
  await save(exampleA());
  expect((await shop.post('/api/logbook', entryOf(exampleA(), 'entry-number-1'))).status).toBe(201);
  const { machines } = (await body(shop.get('/api/shelf'))) as typeof SAMPLE_SHELF;
  expect(machines.find((m) => m.id === machine.id)?.fitted[0]?.hours).toBe(MOST_COUNTED);
  expect((await shop.remove('/api/logbook/entry-number-1')).status).toBe(200);
});

it('a lock held for a second holds a save up, and no later one', async () => {
  const other = createClient({
    url: shop.url,
    ...(shop.access.token ? { authToken: shop.access.token } : {}),
  });
  const holding = await other.transaction('write');
  await holding.execute("INSERT INTO shelf_items (id, noun, item) VALUES ('held-by-other', 'hoops', '{}')");
  let saved = false;
  const waiting = save(exampleA()).then((answer) => {
    saved = true;
    return answer;
  });
  await new Promise((later) => setTimeout(later, 1000));
  expect(saved).toBe(false);
  await holding.rollback();
  other.close();
  expect((await waiting).status).toBe(200);
  for (let rev = 1; rev < 6; rev++) expect((await save(exampleA(), rev)).status).toBe(200);
});

it('a write that fails half way leaves nothing, and the next one goes through', async () => {
  const fault = shop.store.write(async (tx) => {
    await tx.run("INSERT INTO shelf_items (id, noun, item) VALUES ('half-done-1', 'hoops', '{}')");
    throw new Error('on purpose');
  });
  await expect(fault).rejects.toThrow('on purpose');
  expect((await save(exampleA())).status).toBe(200);
  expect(await body(shop.get('/api/set-aside'))).toEqual([]);
});

it('an id stays with its noun', async () => {
  await fill();
  const [thread, hoop] = [SAMPLE_SHELF.threads[0], SAMPLE_SHELF.hoops[0]];
  await shop.takeOff('hoops', thread?.id ?? '');
  const swapped = await shop.putItem('hoops', { ...hoop, id: thread?.id });
  expect([swapped.status, (await swapped.json()).code]).toEqual([409, 'wrong-noun']);
  expect(((await body(shop.get('/api/shelf'))) as typeof SAMPLE_SHELF).threads).toHaveLength(
    SAMPLE_SHELF.threads.length,
  );
});

it('a ticket taken off the bench stays off when another device saves it, and the save is kept', async () => {
  await save(exampleA());
  await shop.remove(`/api/tickets/${exampleA().id}`);
  const changed = { ...exampleA(), name: 'Changed elsewhere' };
  expect(await body(save(changed, 1))).toEqual({ rev: 2, onBench: false });
  expect(await shop.bench()).toEqual([]);
  await shop.post(`/api/tickets/${exampleA().id}/restore`);
  expect(await shop.bench()).toMatchObject([{ ticket: { name: 'Changed elsewhere' }, onBench: true }]);
});

it('a log entry of things nobody knows is answered in words', async () => {
  await save(exampleA());
  const used = { ...exampleA().log.used, hoopId: 'a-hoop-nobody-has' };
  const known = entryOf({ ...exampleA(), log: { ...exampleA().log, used } }, 'entry-number-1');
  expect((await shop.post('/api/logbook', known)).status).toBe(201);
  const cloth = { ...exampleA(), piece: { ...exampleA().piece, fabricId: 'no-such-cloth' } };
  expect((await shop.post('/api/logbook', entryOf(cloth, 'entry-number-2'))).status).toBe(201);
  expect(
    (await shop.post('/api/logbook', entryOf({ ...cloth, id: 'no-such-ticket' }, 'entry-number-3'))).status,
  ).toBe(404);
  const { ticket } = known;
  const faulty = { ...known, ticket: { ...ticket, log: { ...ticket.log, faults: { nothing: 2 } } } };
  expect((await shop.post('/api/logbook', faulty)).status).toBe(400);
});

it('a refusal is short, however much was sent', async () => {
  const unread = Object.fromEntries(Array.from({ length: 4000 }, (_, i) => [`${'x'.repeat(190)}${i}`, 5]));
  const answer = await shop.put(`/api/tickets/${exampleA().id}`, {
    ticket: { ...exampleA(), unread },
    rev: 0,
  });
  expect(answer.status).toBe(400);
  expect((await answer.text()).length).toBeLessThan(12_000);
  const broken = await shop.put(`/api/tickets/${exampleA().id}`, `{"ticket": ${'"'.repeat(100_000)}`);
  expect([broken.status, (await broken.text()).length < 600]).toEqual([400, true]);
});

it('a missing script is missing; a page of the app is the app', async () => {
  expect((await shop.get('/_expo/static/js/web/entry-gone.js')).status).toBe(404);
  expect((await shop.get('/fonts/gone.ttf')).status).toBe(404);
});

it.each([
  ['full', 'SQLITE_FULL: database or disk is full'],
  ['not-writable', 'SQLITE_READONLY: attempt to write a readonly database'],
])('a disk that is %s is said, and what was sent can be sent again', async (code, message) => {
  const { write } = shop.store;
  shop.store.write = () => Promise.reject(new Error('Failed query', { cause: new Error(message) }));
  const refused = await save(exampleA());
  expect([refused.status, (await refused.json()).code]).toEqual([503, code]);
  shop.store.write = write;
  expect((await save(exampleA())).status).toBe(200);
});
