import type { OrderCost } from '@zt/core/business/cost/orderCost';
import { inState, newOrder, type Order } from '@zt/core/model/order';
import type { CustomerDetail, Erased, OrderDetail, OrdersPage } from '@zt/core/model/ordersApi';
import type { Ticket } from '@zt/core/model/ticket';
import { newTicket } from '@zt/core/planner/newTicket';
import { priced } from '@zt/core/testing/priced';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { sql } from 'drizzle-orm';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

const CLUB = { id: 'customer-club', name: 'Pennyscar Rowing Club', contact: 'the boat house', note: '' };
const order = (id: string, more: Partial<Order> = {}): Order => ({
  ...newOrder(id, `Order ${id}`, '2026-05-04'),
  ...more,
});
const saveOrder = (value: Order, base?: Order) => shop.put(`/api/orders/${value.id}`, { order: value, base });
const saveTicket = (ticket: Ticket) => shop.put(`/api/tickets/${ticket.id}`, { ticket, rev: 0 });
const book = async (question = ''): Promise<OrdersPage> => (await shop.get(`/api/orders${question}`)).json();
const detail = async (id: string): Promise<OrderDetail> => (await shop.get(`/api/orders/${id}`)).json();

describe('the order book', () => {
  it('stands soonest due first, with customers and what the tickets come to', async () => {
    await shop.put(`/api/customers/${CLUB.id}`, { customer: CLUB });
    await saveOrder(order('order-number-1', { customerId: CLUB.id, due: '2026-06-01' }));
    await saveOrder(order('order-number-2', { due: '2026-05-20' }));
    await saveOrder(order('order-number-3'));
    const tees = exampleA();
    await saveTicket({
      ...tees,
      orderId: 'order-number-1',
      piece: {
        ...tees.piece,
        quantity: 3,
        sizes: [{ name: 'S', count: 4, readings: {} }],
      },
    });
    await saveTicket({ ...exampleB(), orderId: 'order-number-1' });
    const page = await book();
    expect(page.orders.map((line) => line.order.id)).toEqual([
      'order-number-2',
      'order-number-1',
      'order-number-3',
    ]);
    expect(page.orders[1]).toMatchObject({ customer: CLUB.name, tickets: 2, pieces: 8, logged: 0 });
    const { tickets, customer } = await detail('order-number-1');
    expect(customer).toEqual(CLUB);
    expect(tickets.map(({ name, pieces }) => [name, pieces])).toEqual([
      ['Rowing club crest', 7],
      ['Guesthouse monogram', 1],
    ]);
  });

  it('is found in by words and states, page by page', async () => {
    await shop.put(`/api/customers/${CLUB.id}`, { customer: CLUB });
    for (let i = 0; i < 45; i += 1)
      await saveOrder(
        order(`order-number-${String(i).padStart(3, '0')}`, {
          customerId: i % 3 === 0 ? CLUB.id : null,
          state: i < 5 ? 'paid' : 'agreed',
        }),
      );
    const first = await book();
    expect([first.orders.length, first.total]).toEqual([40, 45]);
    expect((await book(`?after=${encodeURIComponent(first.next ?? '')}`)).orders).toHaveLength(5);
    expect((await book('?state=open')).total).toBe(40);
    expect((await book('?state=paid')).total).toBe(5);
    expect((await book('?q=rowing')).total).toBe(15);
    expect((await book('?q=100%25')).total).toBe(0);
    expect((await shop.get('/api/orders?state=lost')).status).toBe(400);
  });

  it('puts together what two devices made of one order, and sends nothing twice', async () => {
    const base = order('order-number-1');
    await saveOrder(base);
    await saveOrder({ ...base, due: '2026-06-01' }, base);
    const sending = { id: 'sending-number-1', device: 'device-of-tests', name: 'Phone' };
    const mine = { ...base, promisedMinor: 24000 };
    for (let i = 0; i < 2; i += 1) await shop.put(`/api/orders/${base.id}`, { order: mine, base, sending });
    const { order: kept } = await detail(base.id);
    expect([kept.due, kept.promisedMinor]).toEqual(['2026-06-01', 24000]);
    await saveOrder({ ...base, promisedMinor: 20000 }, base);
    const { order: after } = await detail(base.id);
    expect(after.promisedMinor).toBe(24000);
    expect(Object.values(after.offers ?? {}).map(({ at, value }) => [at, value])).toEqual([
      ['promisedMinor', 20000],
    ]);
    expect(await (await shop.get(`/api/history/order/${base.id}`)).json()).toHaveLength(1);
  });

  it('an order that is taken off comes back, its tickets stay', async () => {
    await saveOrder(order('order-number-1'));
    await saveTicket({ ...exampleA(), orderId: 'order-number-1' });
    expect((await shop.remove('/api/orders/order-number-1')).status).toBe(200);
    expect((await book()).total).toBe(0);
    expect(await shop.bench()).toHaveLength(1);
    await shop.post('/api/orders/order-number-1/restore');
    expect((await book()).orders[0]?.tickets).toBe(1);
    expect((await shop.remove('/api/orders/order-number-9')).status).toBe(404);
  });

  it('refuses what cannot be, naming the field', async () => {
    const asked = async (more: object) => {
      const answer = await saveOrder(order('order-number-1', more));
      return [answer.status, (await answer.json()).issues?.[0]?.path];
    };
    expect(await asked({ due: '2026-02-30' })).toEqual([400, 'order.due']);
    expect(await asked({ promisedMinor: -5 })).toEqual([400, 'order.promisedMinor']);
    expect(await asked({ promisedMinor: 12.5 })).toEqual([400, 'order.promisedMinor']);
    expect(await asked({ name: '' })).toEqual([400, 'order.name']);
    expect((await shop.put('/api/orders/order-number-2', { order: order('order-number-1') })).status).toBe(
      400,
    );
    expect((await book()).total).toBe(0);
  });

  it('goes back to an earlier state with its dates', () => {
    const done = inState(inState(order('order-number-1'), 'agreed', '2026-05-05'), 'done', '2026-05-09');
    expect(done.since).toEqual({ asked: '2026-05-04', agreed: '2026-05-05', done: '2026-05-09' });
    expect(inState(done, 'agreed', '2026-05-10').since).toEqual({
      asked: '2026-05-04',
      agreed: '2026-05-10',
    });
  });

  it('keeps what it cost when it was handed over, whatever prices become; taken back to work it keeps none', () => {
    const handed = inState(order('order-number-1'), 'handed over', '2026-05-09', 6400);
    expect([handed.costMinor, inState(handed, 'paid', '2026-06-01', 9900).costMinor]).toEqual([6400, 6400]);
    expect(inState(handed, 'in work', '2026-05-10', 6400).costMinor).toBeNull();
    const unknown = inState(order('order-number-1'), 'handed over', '2026-05-09');
    expect([unknown.costMinor, inState(unknown, 'paid', '2026-06-01', 7000).costMinor]).toEqual([null, 7000]);
  });
});

describe('what an order costs, and its papers', () => {
  const ID = 'order-number-1';
  beforeEach(async () => {
    for (const noun of ['machines', 'hoops', 'materials', 'threads', 'supplies'] as const)
      for (const item of priced(SAMPLE_SHELF)[noun]) await shop.putItem(noun, item);
    await saveOrder(order(ID, { due: '2026-06-01' }));
    const tees = { ...exampleA(), blankMinor: 420, orderId: ID };
    await saveTicket({ ...tees, piece: { ...tees.piece, quantity: 20 } });
  });
  const cost = async () => (await (await shop.get(`/api/orders/${ID}/cost`)).json()) as OrderCost;
  const paper = (kind: string) => shop.get(`/api/orders/${ID}/${kind}.pdf`);

  it('is the sum of its tickets, line by line', async () => {
    // The bobbin is of the shop's own count; all else as worked out by hand for twenty tees.
    const tees = await cost();
    expect([tees.pieces, tees.totalMinor, tees.blankMinor, tees.unpriced]).toEqual([20, 24149, 8400, []]);
    expect(tees.wantedMinor).toBe(20 * 1750);
    await saveTicket({ ...exampleB(), blankMinor: 0, orderId: ID });
    const both = await cost();
    const towel = both.tickets.find(({ name }) => name === 'Guesthouse monogram')?.totalMinor ?? 0;
    expect(both.totalMinor).toBe(tees.totalMinor + towel);
    expect(both.lines.reduce((sum, { minor }) => sum + minor, 0)).toBe(both.totalMinor);
  });

  it('names what is not planned, and then tells no price that would do', async () => {
    await saveTicket({ ...newTicket('ticket-not-begun', 'tote'), name: 'A tote', orderId: ID });
    const some = await cost();
    expect(some.tickets.find(({ name }) => name === 'A tote')?.totalMinor).toBeNull();
    expect(some.wantedMinor).toBeNull();
    expect((await shop.get('/api/orders/order-number-9/cost')).status).toBe(404);
  });

  it('follows what the logbook says of spoilt pieces', async () => {
    const before = (await cost()).lines.find(({ id }) => id === 'spoilt')?.minor ?? 0;
    for (let i = 0; i < 6; i += 1) {
      const bare = { ...exampleA(), id: `ticket-logged-${i}` };
      const ticket = { ...bare, log: { ...bare.log, faults: { puckering: 3 as const } } };
      await saveTicket(ticket);
      await shop.post('/api/logbook', { id: `entry-logged-${i}`, ticket });
    }
    expect((await cost()).lines.find(({ id }) => id === 'spoilt')?.minor).toBeGreaterThan(3 * before);
  });

  it('is quoted once a price is promised, and receipted once it is paid', async () => {
    const refused = async (kind: string) => (await (await paper(kind)).json()).code;
    expect(await refused('quote')).toBe('no-price');
    const { order: now } = await detail(ID);
    await saveOrder({ ...now, promisedMinor: 35000 }, now);
    expect((await paper('quote')).status).toBe(200);
    expect(await refused('receipt')).toBe('not-paid');
    const { order: then } = await detail(ID);
    await saveOrder(inState(then, 'paid', '2026-06-02'), then);
    expect((await paper('receipt')).status).toBe(200);
    await shop.remove('/api/tickets/ticket-example-a');
    expect(await refused('receipt')).toBe('no-tickets');
  });
});

describe('a customer', () => {
  const NAMED = 'Mina Brackwater';
  beforeEach(async () => {
    const mina = { id: 'customer-mina', name: NAMED, contact: '0123', note: 'likes navy' };
    await shop.put('/api/customers/customer-mina', { customer: mina });
    await saveOrder(
      order('order-number-1', {
        customerId: 'customer-mina',
        brought: 'her aunt’s napkins',
        name: `For ${NAMED}`,
      }),
    );
    await saveTicket({ ...exampleA(), customer: NAMED, orderId: 'order-number-1' });
    await saveTicket({ ...exampleB(), customer: 'Lantern House' });
  });
  const erase = () => shop.post('/api/customers/customer-mina/erase');
  const finish = async () => {
    await shop.post('/api/logbook', { id: 'entry-number-1', ticket: { ...exampleA(), customer: NAMED } });
    const { order: kept } = await detail('order-number-1');
    await saveOrder({ ...kept, state: 'paid' }, kept);
  };

  it('has a page with orders and what was made before', async () => {
    await finish();
    const page: CustomerDetail = await (await shop.get('/api/customers/customer-mina')).json();
    expect(page.orders.map((line) => line.order.id)).toEqual(['order-number-1']);
    expect(page.made.map(({ name, pieces }) => [name, pieces])).toEqual([['Rowing club crest', 1]]);
    const [line] = await (await shop.get('/api/customers')).json();
    expect([line.orders, line.open]).toEqual([1, 0]);
  });

  it('is not erased while something is open for them', async () => {
    const answer = await erase();
    expect([answer.status, (await answer.json()).message]).toEqual([
      409,
      'For them an order is open and a ticket is on the bench: hand it over, or take it off first. Nothing was erased.',
    ]);
    expect((await shop.get('/api/customers/customer-mina')).status).toBe(200);
  });

  it('is erased everywhere, and what was made is kept', async () => {
    await finish();
    await shop.put('/api/searches/search-of-tests', {
      id: 'search-of-tests',
      name: 'hers',
      filter: { customer: [NAMED], kind: ['t-shirt'] },
    });
    const erased: Erased = await (await erase()).json();
    expect(erased).toEqual({ orders: 1, tickets: 1, entries: 1, backups: 0 });
    // Not in any table, under any name.
    const tables = await shop.store.db.all<{ name: string }>(
      sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'log_words%'`,
    );
    for (const { name } of tables) {
      const rows = await shop.store.db.all(sql.raw(`SELECT * FROM "${name}"`));
      expect([name, /Mina|Brackwater|aunt|0123/.test(JSON.stringify(rows))]).toEqual([name, false]);
    }
    const words = await shop.store.db.all(
      sql`SELECT rowid FROM log_words WHERE log_words MATCH 'Brackwater'`,
    );
    expect(words).toEqual([]);
    const entry = await (await shop.get('/api/logbook/entry-number-1')).json();
    expect([entry.ticket.customer, entry.ticket.piece.fabricId]).toEqual(['', 'jersey-tee']);
    expect((await (await shop.get('/api/logbook?q=Brackwater')).json()).entries).toEqual([]);
    expect((await (await shop.get('/api/logbook?q=crest')).json()).entries).toHaveLength(1);
    // Another customer’s is as it was.
    expect((await shop.bench()).map(({ ticket }: { ticket: Ticket }) => ticket.customer)).toEqual([
      'Lantern House',
    ]);
    expect((await erase()).status).toBe(404);
  });

  it('waits for an order of theirs that cannot be read, and goes with it once that is taken away', async () => {
    await finish();
    const half = JSON.stringify({ id: 'order-number-9', brought: 'her aunt’s napkins' });
    await shop.store.db.run(
      sql`INSERT INTO orders (id, "order", name, state, customer_id, updated_at) VALUES ('order-number-9', ${half}, '', 'paid', 'customer-mina', '')`,
    );
    const refused = await erase();
    expect([refused.status, (await refused.json()).message]).toEqual([
      409,
      'For them an order cannot be read: mend it, or take it away first. Nothing was erased.',
    ]);
    await shop.store.db.run(sql`UPDATE orders SET deleted_at = 'then' WHERE id = 'order-number-9'`);
    expect((await (await erase()).json()).orders).toBe(2);
    const rows = await shop.store.db.all(sql`SELECT * FROM orders`);
    expect(JSON.stringify(rows)).not.toContain('aunt');
  });

  it('is told of the backups that still hold the name', async () => {
    await finish();
    await shop.post('/api/backups');
    expect((await (await erase()).json()).backups).toBe(1);
  });
});
