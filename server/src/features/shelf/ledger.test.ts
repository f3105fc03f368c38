import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { amountsOf } from '@zt/core/ledger/amounts';
import type { Movement } from '@zt/core/model/movement';
import type { Shelf, Thread } from '@zt/core/model/shelf';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { openTestApp, type TestApp } from '../../testing/testApp';
import { amountsKept } from './ledger';

let shop: TestApp;
const navy = SAMPLE_SHELF.threads.find((t) => t.name === 'navy') as Thread;
const metres = navy.metresLeft ?? 0;
const COUNTED = ['materials', 'threads', 'machines', 'supplies'] as const;

beforeEach(async () => {
  shop = await openTestApp();
  for (const noun of ['machines', 'hoops', 'materials', 'threads'] as const)
    for (const item of SAMPLE_SHELF[noun]) await shop.putItem(noun, item);
});
afterEach(() => shop.close());

const shelfNow = async () => (await (await shop.get('/api/shelf')).json()) as Shelf;
const navyNow = async () => (await shelfNow()).threads.find((t) => t.id === navy.id) as Thread;
const movements = async () =>
  (await (await shop.get(`/api/shelf/${navy.id}/movements`)).json()) as Movement[];
const from = (device: string, id = `${device}-sending-1`) => ({
  id,
  device: `device-${device}`,
  name: device,
});
const change = (base: Thread, item: Thread, more: object = {}) =>
  shop.post('/api/shelf', { put: [{ noun: 'threads', item, base }], ...more });
async function log(ticket = exampleA(), id = 'entry-number-1') {
  await shop.put(`/api/tickets/${ticket.id}`, { ticket, rev: 0 });
  return shop.post('/api/logbook', { id, ticket });
}

/** Every amount on the shelf is the sum of its movements. */
async function expectSums() {
  const shelf = await shelfNow();
  for (const noun of COUNTED)
    for (const item of shelf[noun]) {
      const kept = await amountsKept(shop.store.db, item.id);
      for (const [figure, amount] of Object.entries(amountsOf(noun, item as never)))
        expect([item.id, figure, kept[figure] ?? 0]).toEqual([item.id, figure, expect.closeTo(amount, 6)]);
    }
}

it('a thread renamed from what it was before a piece was logged keeps what the piece took', async () => {
  await log();
  const used = await navyNow();
  expect(used.metresLeft).toBeLessThan(metres - 5);
  await change(navy, { ...navy, name: 'dark navy' });
  expect(await navyNow()).toEqual({ ...used, name: 'dark navy' });
  await expectSums();
});

it('two recounts add up, each by what it changed, and are told with who and when', async () => {
  await change(navy, { ...navy, metresLeft: metres + 100 }, { as: 'bought', sending: from('phone') });
  await change(navy, { ...navy, metresLeft: metres - 20 }, { sending: from('laptop') });
  expect(await navyNow()).toEqual({ ...navy, metresLeft: metres + 100 - 20 });
  expect((await movements()).map(({ kind, amount, by }) => [kind, amount, by])).toEqual([
    ['corrected', -20, 'laptop'],
    ['bought', 100, 'phone'],
    ['opening', metres, ''],
  ]);
  await expectSums();
});

it('a sending that comes twice counts once, also after another came between', async () => {
  const bought = { as: 'bought', sending: from('phone') };
  await change(navy, { ...navy, metresLeft: 600 }, bought);
  await change(navy, { ...navy, name: 'dark navy' }, { sending: from('laptop') });
  await change(navy, { ...navy, metresLeft: 600 }, bought);
  expect(await navyNow()).toMatchObject({ name: 'dark navy', metresLeft: 600 });
  expect(await movements()).toHaveLength(2);
});

it('one field changed on two devices keeps one value and offers the other; another id in place of a value is kept', async () => {
  await change(navy, { ...navy, name: 'dark navy' }, { sending: from('laptop') });
  await change(navy, { ...navy, name: 'night', hex: '#101820' }, { sending: from('phone') });
  const now = await navyNow();
  expect(now).toMatchObject({ name: 'dark navy', hex: '#101820' });
  expect(Object.values(now.offers ?? {})).toEqual([
    { at: 'name', value: 'night', by: 'phone', when: expect.any(String) },
  ]);
});

it('a thread that is no longer counted has nothing left in the ledger, and begins anew', async () => {
  const uncounted = { ...navy, metresLeft: null };
  await change(navy, uncounted);
  expect((await navyNow()).metresLeft).toBeNull();
  expect((await amountsKept(shop.store.db, navy.id)).metresLeft).toBe(0);
  await change(uncounted, { ...navy, metresLeft: 50 });
  expect((await navyNow()).metresLeft).toBe(50);
  await expectSums();
});

it('a ticket logged on two devices is one entry, and takes its thread once', async () => {
  const first = await (await log()).json();
  const after = await shelfNow();
  const second = await log(exampleA(), 'entry-number-2');
  expect([second.status, await second.json()]).toEqual([201, first]);
  expect(await shelfNow()).toEqual(after);
  expect(await shop.logged()).toHaveLength(1);
  await log({ ...exampleB(), id: 'ticket-of-its-own' }, 'entry-number-3');
  expect(await shop.logged()).toHaveLength(2);
  await expectSums();
});

it('what entries took and gave back stands in the ledger with the entry', async () => {
  const before = await shelfNow();
  await log();
  await shop.remove('/api/logbook/entry-number-1');
  expect(await shelfNow()).toEqual(before);
  const [back, used] = await movements();
  expect([back?.kind, used?.kind, back?.entryId]).toEqual(['given-back', 'used', 'entry-number-1']);
  expect((back?.amount ?? 0) + (used?.amount ?? 0)).toBeCloseTo(0, 9);
  await expectSums();
});

it('what was on a shelf before there was a ledger opens it, and a damaged row hinders nothing', async () => {
  const db = createClient({ url: `file:${join(shop.folder, 'before.db')}` });
  const sql = async (name: string) =>
    (await readFile(join(process.cwd(), 'server/src/db/migrations', name), 'utf8')).replaceAll(
      '--> statement-breakpoint',
      '',
    );
  await db.executeMultiple(await sql('0000_first.sql'));
  const items: [string, string, string][] = [
    ['thread-a1', 'threads', JSON.stringify({ ...navy, id: 'thread-a1', metresLeft: 62.5 })],
    ['thread-b2', 'threads', JSON.stringify({ ...navy, id: 'thread-b2', metresLeft: null })],
    ['thread-c3', 'threads', '{"id":"thread-c3","metresLeft":'],
    [
      'roll-one',
      'materials',
      JSON.stringify({
        metresLeft: 4,
        loose: [
          { widthMm: 300, heightMm: 200, count: 3 },
          { widthMm: 127.5, heightMm: 90, count: 1 },
        ],
      }),
    ],
    ['supply-a', 'supplies', JSON.stringify({ left: 9 })],
    ['machine-a', 'machines', JSON.stringify({ needles: 2, needleHours: 3.5 })],
  ];
  for (const args of items)
    await db.execute({ sql: 'INSERT INTO shelf_items (id, noun, item) VALUES (?, ?, ?)', args });
  for (const name of ['0001_taken', '0002_needles', '0003_ticket_sendings', '0004_ledger'])
    await db.executeMultiple(await sql(`${name}.sql`));
  const { rows } = await db.execute(
    'SELECT item_id, figure, amount, kind FROM movements ORDER BY item_id, figure',
  );
  db.close();
  expect(rows.map((row) => [row.item_id, row.figure, row.amount, row.kind])).toEqual([
    ['machine-a', 'hours 0', 3.5, 'opening'],
    ['roll-one', 'loose 127.5x90', 1, 'opening'],
    ['roll-one', 'loose 300x200', 3, 'opening'],
    ['roll-one', 'metresLeft', 4, 'opening'],
    ['supply-a', 'left', 9, 'opening'],
    ['thread-a1', 'metresLeft', 62.5, 'opening'],
  ]);
});
