import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newOrder } from '@zt/core/model/order';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { createContext } from '../src/context';
import { createApp } from '../src/create-app';
import { openStore } from '../src/db/client';
import { saveCustomer } from '../src/features/customers/writer';
import { saveOrder } from '../src/features/orders/writer';
import { changeShelf } from '../src/features/shelf/writer';
import { saveTicket } from '../src/features/tickets/writer';

/** A shop of 200 open orders with ten tickets each, asked at the interface for each of its pages, beside its health alone. */
const ORDERS = 200;
const TICKETS = 10;
const TIMES = 60;
const NOW = '2026-11-29T10:00:00.000Z';

const folder = mkdtempSync(join(tmpdir(), 'thimble-shop-'));
const url = `file:${join(folder, 'shop.db')}`;
const store = await openStore(url);
const config = {
  port: 0,
  host: '127.0.0.1',
  databaseUrl: url,
  access: {},
  photos: { at: join(folder, 'photos') },
  webRoot: folder,
  demo: false,
};
const context = await createContext(config, {
  store,
  now: () => NOW,
  remote: () => '127.0.0.1',
  backups: null,
});
const app = createApp(context);

const day = (n: number): string => new Date(Date.parse(NOW) + n * 86_400_000).toISOString().slice(0, 10);
await store.write(async (tx) => {
  const put = (['machines', 'hoops', 'materials', 'threads'] as const).flatMap((noun) =>
    SAMPLE_SHELF[noun].map((item) => ({ noun, item })),
  );
  await changeShelf(tx, { put } as never, NOW);
  for (let n = 0; n < ORDERS; n += 1) {
    const customerId = `customer-${n % 40}-of-the-shop`;
    if (n < 40)
      await saveCustomer(
        tx,
        { customer: { id: customerId, name: `Customer ${n}`, contact: '', note: '' } },
        NOW,
      );
    const order = {
      ...newOrder(`order-number-${n}`, `Order ${n}`, day(0)),
      customerId,
      due: day(n % 60),
      state: 'agreed' as const,
    };
    await saveOrder(tx, { order }, NOW);
    for (let t = 0; t < TICKETS; t += 1) {
      const ticket = {
        ...(t % 2 ? exampleA() : exampleB()),
        id: `ticket-${n}-${t}-of-it`,
        orderId: order.id,
        due: order.due,
      };
      await saveTicket(tx, { ticket, rev: 0 }, NOW);
    }
  }
});

const PAGES = {
  bench: '/api/tickets',
  'bench, words': '/api/tickets?q=crest',
  'order book': '/api/orders?state=open',
  'order book, words': '/api/orders?q=Customer%207',
  'an order': '/api/orders/order-number-17',
  customers: '/api/customers',
  'a customer': '/api/customers/customer-7-of-the-shop',
  day: '/api/day',
  'weeks of a year': '/api/weeks?weeks=52',
  shelf: '/api/shelf',
} as const;

const at = (sorted: number[], share: number): number =>
  sorted[Math.floor(sorted.length * share)] ?? Number.NaN;
async function asked(path: string): Promise<{ p50: number; p95: number }> {
  const times: number[] = [];
  for (let turn = 0; turn < TIMES; turn += 1) {
    const begun = performance.now();
    const answer = await app.request(path);
    await answer.text();
    times.push(performance.now() - begun);
    if (answer.status !== 200) throw new Error(`${path} answered ${answer.status}`);
  }
  times.sort((a, b) => a - b);
  return { p50: at(times, 0.5), p95: at(times, 0.95) };
}

await asked('/api/health');
const bare = await asked('/api/health');
const said: string[] = [];
for (const [name, path] of Object.entries(PAGES)) {
  const { p50, p95 } = await asked(path);
  said.push(`${name} ${p50.toFixed(1)}/${p95.toFixed(1)} ms (${(p50 / bare.p50).toFixed(0)} ×)`);
}
console.log(
  `a shop of ${ORDERS} open orders with ${ORDERS * TICKETS} tickets, p50/p95 and times its bare health (${bare.p50.toFixed(2)} ms): ${said.join('; ')}`,
);
rmSync(folder, { recursive: true, force: true });
process.exit(0);
