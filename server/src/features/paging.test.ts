import type { LogPage } from '@zt/core/model/api';
import type { LogSummary } from '@zt/core/model/logEntry';
import type { Ticket } from '@zt/core/model/ticket';
import { exampleA } from '@zt/core/testing/samples';
import { tickets } from '../db/schema/tickets';
import { openTestApp, type TestApp } from '../testing/testApp';
import { addEntry } from './logbook/writer';
import { PAGE } from './paging';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

/** A number that looks like none, the same for the same n. */
const mixed = (n: number, of: number): number => (n * 7919 + 13) % of;
const two = (n: number): string => String(n).padStart(2, '0');

const MANY = 3 * PAGE + 7;
async function fillBench() {
  await shop.store.write(async (tx) => {
    for (let n = 0; n < MANY; n += 1) {
      const day = mixed(n, 25) + 1;
      const due = day > 20 ? null : `2026-12-${two(day)}`;
      const ticket: Ticket = { ...exampleA(), id: `ticket-${1000 + n}`, name: `piece ${n}`, due };
      await tx.insert(tickets).values({
        id: ticket.id,
        ticket,
        rev: 1,
        updatedAt: '',
        deletedAt: n % 10 === 3 ? '2026-11-01' : null,
        ...(due === null ? {} : { due }),
      });
    }
  });
}

/** All pages of a list, one after the other. */
async function pages<T extends { next: string | null }>(path: string): Promise<T[]> {
  const all: T[] = [];
  for (let after: string | null = ''; after !== null; after = all.at(-1)?.next ?? null) {
    const and = path.includes('?') ? '&' : '?';
    all.push(await (await shop.get(`${path}${and}after=${encodeURIComponent(after)}`)).json());
  }
  return all;
}
type Bench = { tickets: { ticket: Ticket }[]; total: number; next: string | null };

it('the bench comes page by page, each ticket once, soonest due first and those without a day last', async () => {
  await fillBench();
  const all = await pages<Bench>('/api/tickets');
  const read = all.flatMap((page) => page.tickets.map(({ ticket }) => ticket));
  const open = MANY - Math.ceil((MANY - 3) / 10);
  expect(all.slice(0, -1).every((page) => page.tickets.length === PAGE)).toBe(true);
  expect(new Set(read.map(({ id }) => id)).size).toBe(open);
  expect(all[0]?.total).toBe(open);
  const days = read.map(({ due }) => due ?? '9999');
  expect(days).toEqual([...days].sort());
});

it('what is sought on the bench is found by name and customer, whatever signs are in it', async () => {
  await fillBench();
  const found = async (q: string) =>
    (await pages<Bench>(`/api/tickets?q=${encodeURIComponent(q)}`)).flatMap((page) =>
      page.tickets.map(({ ticket }) => ticket.name),
    );
  expect(await found('PIECE 42')).toEqual(['piece 42']);
  expect((await found(exampleA().customer.slice(0, 4))).length).toBeGreaterThan(PAGE);
  expect(await found('100%')).toEqual([]);
  expect(await found('_')).toEqual([]);
  expect(await found("'; DROP TABLE tickets; --")).toEqual([]);
});

it('the logbook comes page by page, the latest first, counts all of it, and is found by words and filters', async () => {
  await shop.put(`/api/tickets/${exampleA().id}`, { ticket: exampleA(), rev: 0 });
  await shop.store.write(async (tx) => {
    for (let n = 0; n < MANY; n += 1) {
      const level = mixed(n, 4) as 0 | 1 | 2 | 3;
      const ticket = {
        ...exampleA(),
        log: { ...exampleA().log, faults: { puckering: level }, note: `note ${n}` },
      };
      const loggedAt = `2026-11-${two(mixed(n, 28) + 1)}T10:00:00.000Z`;
      await addEntry(tx, {
        id: `entry-${1000 + n}`,
        loggedAt,
        ticket,
        plan: { planner: 1 } as never,
        log: ticket.log,
      });
    }
  });
  const all = await pages<LogPage>('/api/logbook');
  const read = all.flatMap((page) => page.entries);
  expect(new Set(read.map(({ id }) => id)).size).toBe(MANY);
  const times = read.map(({ loggedAt }) => loggedAt);
  expect(times).toEqual([...times].sort().reverse());
  const counted = (of: LogSummary[]) => (outcome: string) => of.filter((e) => e.outcome === outcome).length;
  const counts = all[0]?.counts ?? {};
  expect(counts).toEqual(Object.fromEntries(Object.keys(counts).map((o) => [o, counted(read)(o)])));
  const [spoilt] = await pages<LogPage>('/api/logbook?outcome=spoilt&q=note');
  expect(spoilt?.entries.every(({ outcome }) => outcome === 'spoilt')).toBe(true);
  expect((await pages<LogPage>('/api/logbook?q=note%2017')).flatMap((page) => page.entries)).toHaveLength(1);
});

it('reads lists along their indexes: nothing is sorted anew, and no table is gone through', async () => {
  const asked: { sql: string; args: string[] }[] = [];
  const client = shop.store.db.$client;
  const execute = client.execute.bind(client);
  Object.assign(client, {
    execute: (statement: { sql: string; args: string[] }) => {
      if (typeof statement === 'object' && /^select/i.test(statement.sql)) asked.push(statement);
      return execute(statement);
    },
  });
  for (const path of [
    '/api/tickets?after=2026-12-01~ticket-1',
    '/api/logbook?after=2026~entry-1',
    '/api/tickets/ticket-1',
  ])
    await shop.get(path);
  const plans: string[] = [];
  for (const { sql, args } of asked) {
    const { rows } = await execute({ sql: `EXPLAIN QUERY PLAN ${sql}`, args });
    plans.push(rows.map(({ detail }) => String(detail)).join('; '));
  }
  expect(plans.length).toBeGreaterThanOrEqual(5);
  for (const one of plans) expect(one).toMatch(/USING (COVERING )?INDEX|USING INTEGER PRIMARY KEY/);
  expect(plans.join()).not.toMatch(/TEMP B-TREE FOR (LAST TERM OF )?ORDER BY|SCAN (?!CONSTANT)\w+(;|$)/);
});
