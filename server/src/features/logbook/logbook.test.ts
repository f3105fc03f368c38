import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { FABRICS } from '@zt/core/catalogue/fabrics';
import { shelfAfter } from '@zt/core/ledger/pieceMoves';
import type { LogPage } from '@zt/core/model/api';
import type { LogSummary } from '@zt/core/model/logEntry';
import { PIECE_KIND_IDS } from '@zt/core/model/pieceKindIds';
import type { Shelf } from '@zt/core/model/shelf';
import { ShelfUseSchema } from '@zt/core/model/shelfUse';
import { planTicket } from '@zt/core/planner/plan';
import { frozenPlan, PLANNER_VERSION } from '@zt/core/records/logbook/frozenPlan';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { exampleA, SAMPLE_RULES, SAMPLE_SHELF, sheet } from '@zt/core/testing/samples';
import { variedJob } from '@zt/core/testing/variedTickets';
import { openStore } from '../../db/client';
import { packed, unpacked } from '../../db/compactJson';
import { openTestApp, type TestApp } from '../../testing/testApp';
import { packPlans } from './writer';

const median = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
const MIGRATIONS = join(process.cwd(), 'server/src/db/migrations');

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
  for (const noun of ['machines', 'hoops', 'materials', 'threads'] as const)
    for (const item of SAMPLE_SHELF[noun]) await shop.putItem(noun, item);
  await shop.put(`/api/tickets/${exampleA().id}`, { ticket: exampleA(), rev: 0 });
});
afterEach(() => shop.close());

const shelfNow = async () => (await (await shop.get('/api/shelf')).json()) as Shelf;
const figures = async () => {
  const { materials, threads, machines } = await shelfNow();
  const cutAway = materials.find((m) => m.type === 'cut-away')?.metresLeft;
  const navy = threads.find((t) => t.name === 'navy')?.metresLeft;
  return { cutAway, navy, hours: machines[0]?.fitted[0]?.hours };
};
const log = (ticket = exampleA(), id = 'entry-number-1') => shop.post('/api/logbook', { id, ticket });

describe('a logged piece and the shelf', () => {
  it('takes its sheet, thread and needle time, once however often it is said', async () => {
    const before = await figures();
    await log();
    const after = await figures();
    expect(after.cutAway).toBeCloseTo((before.cutAway ?? 0) - 0.182, 6);
    expect(after.navy).toBeLessThan((before.navy ?? 0) - 5);
    expect(after.hours).toBeGreaterThan(before.hours ?? 0);
    await log();
    expect(await figures()).toEqual(after);
  });

  it('gives back what it took when it is taken back, and takes it again when it is logged again', async () => {
    const before = await figures();
    await log();
    const after = await figures();
    expect((await shop.remove('/api/logbook/entry-number-1')).status).toBe(200);
    expect(await figures()).toEqual(before);
    expect((await shop.remove('/api/logbook/entry-number-1')).status).toBe(404);
    expect(await figures()).toEqual(before);
    await log();
    expect(await figures()).toEqual(after);
  });

  it('takes what was really used, where the log says it was not what was planned', async () => {
    const before = await figures();
    const sheets = [sheet('tear-away')];
    const used = { ...exampleA().log.used, sheets };
    await log({ ...exampleA(), log: { ...exampleA().log, used } }, 'entry-number-2');
    const { plan } = await (await shop.get('/api/logbook/entry-number-2')).json();
    expect(plan.layers.sheets.map((s: { stabilizer: string }) => s.stabilizer)).toEqual(['cut-away']);
    expect(plan.planner).toBe(PLANNER_VERSION);
    expect((await figures()).cutAway).toBe(before.cutAway);
    const tearAway = (await shelfNow()).materials.find((m) => m.type === 'tear-away');
    expect(tearAway?.metresLeft).toBeCloseTo(8 - 0.182, 6);
  });

  it('leaves what was taken off the shelf in between where it is', async () => {
    await log();
    await shop.takeOff('materials', 'material-0');
    expect((await shop.remove('/api/logbook/entry-number-1')).status).toBe(200);
    expect((await shelfNow()).materials.some((m) => m.id === 'material-0')).toBe(false);
  });
});

it('a database of the first version is brought up to date with its entries whole', async () => {
  const url = `file:${join(shop.folder, 'old.db')}`;
  const client = createClient({ url });
  const first = await readFile(join(MIGRATIONS, '0000_first.sql'), 'utf8');
  const journal = JSON.parse(await readFile(join(MIGRATIONS, 'meta/_journal.json'), 'utf8'));
  await client.executeMultiple(first.replaceAll('--> statement-breakpoint', ''));
  await client.execute(
    'CREATE TABLE __drizzle_migrations (id INTEGER PRIMARY KEY, hash text NOT NULL, created_at numeric)',
  );
  await client.execute({
    sql: 'INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)',
    args: ['first', journal.entries[0].when],
  });
  await client.execute("INSERT INTO tickets (id, ticket, rev, updated_at) VALUES ('ticket-1', '{}', 1, '')");
  await client.execute(
    `INSERT INTO shelf_items (id, noun, item) VALUES ('machine-1', 'machines', '{"id":"machine-1","needles":6,"needleHours":3.5}')`,
  );
  await client.execute(
    "INSERT INTO log_entries (id, ticket_id, logged_at, kind, fabric_id, method, outcome, summary, ticket, plan, log) VALUES ('entry-1', 'ticket-1', '', 't-shirt', 'jersey-tee', 'hooped', 'good', '{}', '{}', '{}', '{}')",
  );
  client.close();
  const store = await openStore(url, MIGRATIONS);
  const rows = await store.db.run('SELECT id, taken FROM log_entries');
  expect(rows.rows.map((row) => [row.id, row.taken])).toEqual([['entry-1', '[]']]);
  const shelf = await store.db.run('SELECT item FROM shelf_items');
  expect(JSON.parse(String(shelf.rows[0]?.item))).toEqual({
    id: 'machine-1',
    needles: 6,
    fitted: [{ type: null, hours: 3.5 }],
  });
  await store.close();
});

it('an entry that counted the hours of one needle gives them back to it', async () => {
  const url = `file:${join(shop.folder, 'second.db')}`;
  const before = createClient({ url });
  for (const name of ['0000_first.sql', '0001_taken.sql'])
    await before.executeMultiple(
      (await readFile(join(MIGRATIONS, name), 'utf8')).replaceAll('--> statement-breakpoint', ''),
    );
  const taken = [
    { noun: 'materials', id: 'material-0', metres: 0.2 },
    { noun: 'machines', id: 'machine-flat', hours: 0.5 },
  ];
  await before.execute("INSERT INTO tickets (id, ticket, rev, updated_at) VALUES ('ticket-1', '{}', 1, '')");
  await before.execute({
    sql: "INSERT INTO log_entries (id, ticket_id, logged_at, kind, fabric_id, method, outcome, summary, ticket, plan, log, taken) VALUES ('entry-1', 'ticket-1', '', 't-shirt', 'jersey-tee', 'hooped', 'good', '{}', '{}', '{}', '{}', ?)",
    args: [JSON.stringify(taken)],
  });
  await before.executeMultiple(await readFile(join(MIGRATIONS, '0002_needles.sql'), 'utf8'));
  const [row] = (await before.execute('SELECT taken FROM log_entries')).rows;
  before.close();
  const uses = (JSON.parse(String(row?.taken)) as unknown[]).map((use) => ShelfUseSchema.parse(use));
  expect(uses).toEqual([
    { noun: 'materials', id: 'material-0', metres: 0.2, sheets: [], offcuts: [] },
    { noun: 'machines', id: 'machine-flat', hours: [0.5] },
  ]);
  const given = shelfAfter(uses, SAMPLE_SHELF, -1);
  expect(given.find((g) => g.noun === 'machines')?.item).toMatchObject({
    fitted: [{ type: null, hours: 1.5 }],
  });
});

describe('the order of the logbook', () => {
  const NAMES = ['Bib for Ada', 'apron', 'Zebra cushion', 'Cloth'];
  const OUT = [0, 3, 1, 2] as const;
  // Their names are in another order than their ids.
  const KINDS = ['t-shirt', 'bodysuit', 'bib'] as const;
  const OWN = { ...FABRICS[0], id: 'zz-of-our-own', name: 'A cloth of our own' };
  const CLOTHS = ['linen', OWN.id, 'jersey-tee', 'terry-towel'] as const;
  const clothName = (id: string) => ([...FABRICS, OWN].find((f) => f.id === id)?.name ?? '').toLowerCase();
  const pages = async (query: string): Promise<LogSummary[]> => {
    const all: LogSummary[] = [];
    let after = '';
    do {
      const page = (await (await shop.get(`/api/logbook?${query}${after}`)).json()) as LogPage;
      all.push(...page.entries);
      after = page.next === null ? '' : `&after=${encodeURIComponent(page.next)}`;
    } while (after !== '');
    return all;
  };

  it('is by any of its columns, either way, over all its pages', async () => {
    await shop.putItem('fabrics', OWN as never);
    for (let i = 0; i < 44; i++) {
      const fault = OUT[i % OUT.length] ?? 0;
      const base = exampleA();
      const ticket = {
        ...base,
        id: `ticket-in-order-${i}`,
        name: `${NAMES[i % NAMES.length]} ~ ${i % 7}`,
        customer: `customer ${i % 5}`,
        piece: {
          ...base.piece,
          kind: KINDS[i % KINDS.length] ?? 't-shirt',
          fabricId: CLOTHS[i % CLOTHS.length] ?? 'linen',
        },
        log: { ...base.log, faults: fault === 0 ? {} : { puckering: fault } },
      };
      await shop.put(`/api/tickets/${ticket.id}`, { ticket, rev: 0 });
      expect((await log(ticket as typeof base, `entry-in-order-${i}`)).status).toBe(201);
    }
    const rank = { good: 0, slight: 1, plain: 2, spoilt: 3 };
    const by = {
      name: (e: LogSummary) => e.name.toLowerCase(),
      customer: (e: LogSummary) => e.customer.toLowerCase(),
      date: (e: LogSummary) => e.loggedAt,
      outcome: (e: LogSummary) => rank[e.outcome],
      kind: (e: LogSummary) => PIECE_KINDS[e.kind].name.toLowerCase(),
      cloth: (e: LogSummary) => clothName(e.fabricId),
    };
    for (const [id, value] of Object.entries(by))
      for (const way of ['rising', 'falling'] as const) {
        const entries = await pages(`by=${id}&way=${way}`);
        expect(new Set(entries.map((e) => e.id)).size).toBe(44);
        const values = entries.map((entry) => value(entry));
        for (const [i, now] of values.slice(1).entries()) {
          const before = values[i];
          if (before === undefined) continue;
          expect(way === 'rising' ? before <= now : before >= now).toBe(true);
        }
      }
    expect((await shop.get('/api/logbook?by=weather')).status).toBe(400);
  });
});

describe('the plan of an entry', () => {
  const bytesOf = async () => {
    const { rows } = await shop.store.db.run(
      'SELECT length(plan) AS n, typeof(plan) AS kind FROM log_entries',
    );
    return rows.map(({ n, kind }) => ({ n: Number(n), kind }));
  };

  it('is kept in 12 KB at the median, of pieces of every kind, and read as it was', async () => {
    const bytes: number[] = [];
    for (const [i, id] of PIECE_KIND_IDS.entries()) {
      const { ticket, shelf, rules } = variedJob(i * 31 + 5);
      const plan = frozenPlan(planTicket({ ...ticket, piece: { ...ticket.piece, kind: id } }, shelf, rules));
      bytes.push(packed(plan).length);
      expect(JSON.parse(unpacked(packed(plan)))).toEqual(JSON.parse(JSON.stringify(plan)));
    }
    bytes.push(packed(frozenPlan(planTicket(exampleA(), SAMPLE_SHELF, SAMPLE_RULES))).length);
    expect(median(bytes)).toBeLessThan(12_000);
  });

  it('that an earlier version kept as text is read as it is, and packed when there is time', async () => {
    await log();
    const entry = () => shop.get('/api/logbook/entry-number-1');
    const before = await (await entry()).json();
    await shop.store.db.$client.execute({
      sql: 'UPDATE log_entries SET plan = ?',
      args: [JSON.stringify(before.plan)],
    });
    const [asText] = await bytesOf();
    expect(asText?.kind).toBe('text');
    expect(await (await entry()).json()).toEqual(before);
    expect(await packPlans(shop.store)).toBe(1);
    const [packedNow] = await bytesOf();
    expect(packedNow?.kind).toBe('blob');
    expect(packedNow?.n).toBeLessThan((asText?.n ?? 0) / 3);
    expect(await (await entry()).json()).toEqual(before);
    expect(await packPlans(shop.store)).toBe(0);
  });

  it('that is damaged makes its entry unreadable, and nothing else', async () => {
    await log();
    await shop.store.db.run("UPDATE log_entries SET plan = x'00'");
    expect((await shop.get('/api/logbook/entry-number-1')).status).toBe(404);
    expect(await shop.logged()).toHaveLength(1);
    expect((await shop.remove('/api/logbook/entry-number-1')).status).toBe(200);
  });
});
