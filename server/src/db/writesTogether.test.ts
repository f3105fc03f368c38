import { openTestApp, type TestApp } from '../testing/testApp';
import type { Transaction } from './client';
import { houseRules } from './schema/houseRules';
import { tickets } from './schema/tickets';
import { writesTogether } from './writesTogether';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

const put = (id: string) => (tx: Transaction) =>
  tx.insert(tickets).values({ id, ticket: {} as never, rev: 1, updatedAt: '' });
const ids = async () => (await shop.store.db.select({ id: tickets.id }).from(tickets)).map(({ id }) => id);

it('writes that come together are all done, each whole or not at all, and fail alone', async () => {
  const all = await Promise.allSettled(
    Array.from({ length: 100 }, (_, n) =>
      shop.store.write(async (tx) => {
        await put(`ticket-${n}`)(tx);
        if (n % 10 === 7) throw new Error(`on purpose ${n}`);
        return n;
      }),
    ),
  );
  const outcomes = all.map((one) => (one.status === 'fulfilled' ? one.value : String(one.reason)));
  expect(outcomes).toEqual(
    Array.from({ length: 100 }, (_, n) => (n % 10 === 7 ? `Error: on purpose ${n}` : n)),
  );
  expect((await ids()).length).toBe(90);
});

it('a refused row undoes its own write only', async () => {
  await shop.store.write(put('ticket-same'));
  const [first, twice, last] = await Promise.allSettled([
    shop.store.write(put('ticket-1')),
    shop.store.write(async (tx) => {
      await put('ticket-2')(tx);
      await put('ticket-same')(tx);
    }),
    shop.store.write(put('ticket-3')),
  ]);
  expect([first?.status, twice?.status, last?.status]).toEqual(['fulfilled', 'rejected', 'fulfilled']);
  expect((await ids()).sort()).toEqual(['ticket-1', 'ticket-3', 'ticket-same']);
});

it('are in the order they were asked for, see what was written before them, and need few commits', async () => {
  let commits = 0;
  const write = writesTogether<Transaction>((work) => {
    commits += 1;
    return shop.store.db.transaction(work);
  });
  const seen = await Promise.all(
    Array.from({ length: 40 }, (_, n) =>
      write(async (tx) => {
        const before = await tx.select({ id: houseRules.id }).from(houseRules);
        await tx.insert(houseRules).values({ id: `rules-${n}`, rules: {} as never });
        return before.length;
      }),
    ),
  );
  expect(seen).toEqual(Array.from({ length: 40 }, (_, n) => n));
  expect(commits).toBe(1);
});

it('a write waits a turn: what came over the network with it shares its commit', async () => {
  let commits = 0;
  const write = writesTogether<Transaction>((work) => {
    commits += 1;
    return shop.store.db.transaction(work);
  });
  const other = new Promise<unknown>((done) => setImmediate(() => done(write(put('ticket-other')))));
  await Promise.all([write(put('ticket-first')), other]);
  expect((await ids()).sort()).toEqual(['ticket-first', 'ticket-other']);
  expect(commits).toBe(1);
});
