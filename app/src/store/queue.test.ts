import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import { EMPTY_SHELF, type Shelf } from '@zt/core/model/shelf';
import { newTicket } from '@zt/core/planner/newTicket';
import { SAMPLE_SHELF } from '@zt/core/testing/samples';
import { IDBFactory } from 'fake-indexeddb';
import { api } from '../services/api';
import { rulesApi } from '../services/rulesApi';
import { shelfApi } from '../services/shelfApi';
import { keepOutbox } from './autosave';
import { ticketStarted } from './editor';
import { queueFound, refusalSettled } from './queue';
import {
  logPiece,
  putBackOnShelf,
  putItem,
  putTicketBack,
  setRules,
  takeEntryBack,
  takeOffShelf,
  takeTicketOff,
} from './shopActs';
import { selectBench, selectRules, selectShelf } from './shopNow';
import { type AppStore, makeStore } from './store';

const SHELF: Shelf = { ...EMPTY_SHELF, threads: SAMPLE_SHELF.threads };
const [navy] = SHELF.threads;
if (!navy) throw new Error('the sample shelf has threads');

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
async function until(holds: () => boolean): Promise<void> {
  for (let i = 0; i < 500 && !holds(); i++) await pause(20);
  expect(holds()).toBe(true);
}

interface Asked {
  method: string;
  path: string;
  body: { put?: { item: unknown; base?: unknown }[]; sending?: { id: string } };
}

/** A server of a few lines: what it was asked to change, and what it answers; what is put it keeps as it is put. */
function fakeServer(answers: (number | 'down')[]) {
  const asked: Asked[] = [];
  globalThis.fetch = (async (request: Request) => {
    const path = new URL(request.url).pathname.replace('/api', '');
    const body = request.method === 'GET' ? {} : JSON.parse((await request.text()) || '{}');
    if (request.method === 'GET') return Response.json(path === '/shelf' ? SHELF : []);
    const answer = answers.shift() ?? 200;
    if (answer === 'down') throw new TypeError('no connection');
    asked.push({ method: request.method, path, body });
    const taken = { put: body.put ?? [], rev: 1, onBench: true, ...body.rules };
    return Response.json(answer === 200 ? taken : { code: 'no', message: 'It is full.' }, { status: answer });
  }) as typeof fetch;
  return asked;
}

const real = { fetch: globalThis.fetch, Request: globalThis.Request };
beforeAll(() => {
  // Relative addresses mean nothing outside a browser.
  globalThis.Request = class extends real.Request {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' && input.startsWith('/') ? `http://shop.invalid${input}` : input, init);
    }
  } as typeof Request;
});
afterAll(() => Object.assign(globalThis, real));

const stores: AppStore[] = [];
async function openStore() {
  const store = makeStore();
  stores.push(store);
  await store.dispatch(shelfApi.util.upsertQueryData('shelf', undefined, SHELF));
  await store.dispatch(rulesApi.util.upsertQueryData('rules', undefined, DEFAULT_HOUSE_RULES));
  return store;
}
const waiting = (store: AppStore) => store.getState().queue.waiting;
const navyOf = (store: AppStore) => selectShelf(store.getState()).threads.find(({ id }) => id === navy.id);
const sentAll = (store: AppStore) => until(() => waiting(store).length === 0);

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});
/** No page goes on trying once its test is over. */
afterEach(async () => {
  fakeServer([]);
  for (const store of stores.splice(0)) {
    await until(() => waiting(store).every(({ refused }) => refused !== null));
    store.dispatch(api.util.resetApiState());
  }
  // The store tells its last changes with the next frame.
  await pause(100);
});

it('shows a change at once, sends it with what it was made from, and shows it the same when it is taken', async () => {
  const asked = fakeServer([]);
  const store = await openStore();
  store.dispatch(putItem('threads', { ...navy, name: 'night' }));
  expect(navyOf(store)?.name).toBe('night');
  await sentAll(store);
  expect(navyOf(store)?.name).toBe('night');
  expect(asked[0]?.body.put).toEqual([{ noun: 'threads', item: { ...navy, name: 'night' }, base: navy }]);
});

it('sends the letters of one field as one change, from before the first of them', async () => {
  const asked = fakeServer([]);
  const store = await openStore();
  for (const name of ['n', 'ni', 'nig']) store.dispatch(putItem('threads', { ...navy, name }));
  expect(waiting(store)).toHaveLength(1);
  await sentAll(store);
  expect(asked[0]?.body.put).toEqual([{ noun: 'threads', item: { ...navy, name: 'nig' }, base: navy }]);
});

it('sends again as it was what may have arrived, and what was changed since after it', async () => {
  const asked = fakeServer(['down', 200, 200]);
  const store = await openStore();
  const metres = navy.metresLeft ?? 0;
  store.dispatch(putItem('threads', { ...navy, metresLeft: metres + 100 }, 'bought'));
  await until(() => store.getState().queue.offline);
  store.dispatch(putItem('threads', { ...navy, metresLeft: metres + 150 }, 'bought'));
  expect(navyOf(store)?.metresLeft).toBe(metres + 150);
  await sentAll(store);
  expect(asked.map(({ body }) => body.put?.[0]?.item)).toMatchObject([
    { metresLeft: metres + 100 },
    { metresLeft: metres + 150 },
  ]);
  expect(navyOf(store)?.metresLeft).toBe(metres + 150);
});

it('keeps rules and shelf through a closed page, and the next page sends them in order', async () => {
  fakeServer(['down', 'down', 'down']);
  const closed = await openStore();
  keepOutbox(closed).begin();
  closed.dispatch(setRules({ ...DEFAULT_HOUSE_RULES, units: { system: 'mm' } }));
  closed.dispatch(takeOffShelf('threads', navy.id));
  await until(() => closed.getState().queue.offline);
  const asked = fakeServer([]);
  const store = await openStore();
  store.dispatch(queueFound([...(await keepOutbox(store).found).queue]));
  expect(selectRules(store.getState()).units).toEqual({ system: 'mm' });
  expect(navyOf(store)).toBeUndefined();
  await sentAll(store);
  const [first, second] = asked;
  expect([first?.path, second?.path]).toEqual(['/rules', '/shelf']);
});

it('puts an item back as it was, whatever was taken of it, before and after it was sent', async () => {
  fakeServer([]);
  const store = await openStore();
  store.dispatch(takeOffShelf('threads', navy.id));
  expect(navyOf(store)).toBeUndefined();
  store.dispatch(putBackOnShelf('threads', navy));
  expect(navyOf(store)).toEqual(navy);
  await sentAll(store);
  expect(navyOf(store)).toEqual(navy);
});

it('keeps what is refused until somebody says what becomes of it, and it holds up nothing', async () => {
  const asked = fakeServer([400, 200, 200]);
  const store = await openStore();
  store.dispatch(putItem('threads', { ...navy, id: 'one-too-many' }));
  await until(() => waiting(store)[0]?.refused === 'It is full.');
  store.dispatch(setRules({ ...DEFAULT_HOUSE_RULES, numbers: { needleHours: 6 } }));
  await until(() => asked.length === 2);
  expect(asked[1]?.path).toBe('/rules');
  const id = waiting(store)[0]?.id ?? '';
  store.dispatch(refusalSettled({ id, again: true }));
  await sentAll(store);
  expect(asked[2]?.body.sending).toEqual(asked[0]?.body.sending);
  expect(asked[2]?.path).toBe('/shelf');
});

it('what is undone before it was sent is not sent at all', async () => {
  const asked = fakeServer(['down', 'down', 'down']);
  const store = await openStore();
  store.dispatch(setRules({ ...DEFAULT_HOUSE_RULES, numbers: { needleHours: 6 } }));
  await until(() => store.getState().queue.offline);
  store.dispatch(takeTicketOff('ticket-one'));
  store.dispatch(putTicketBack('ticket-one'));
  const ticket = newTicket('ticket-two', 't-shirt');
  store.dispatch(logPiece(ticket));
  const [, entry] = waiting(store);
  if (entry?.endpoint !== 'addEntry') throw new Error('the entry waits');
  store.dispatch(takeEntryBack(entry.arg.id, ticket.id));
  expect(waiting(store).map(({ endpoint }) => endpoint)).toEqual(['saveRules']);
  expect(asked).toEqual([]);
});

it('a ticket that was started stands on the bench before anybody has heard of it, and is sent before its entry', async () => {
  const asked = fakeServer(['down']);
  const store = await openStore();
  const ticket = newTicket('ticket-new', 'bath-towel');
  store.dispatch(ticketStarted(ticket));
  store.dispatch(logPiece(ticket));
  expect(selectBench(store.getState()).map((kept) => [kept.ticket.id, kept.loggedAs === null])).toEqual([
    ['ticket-new', false],
  ]);
  await until(() => asked.length === 2);
  expect(asked.map(({ method, path }) => [method, path])).toEqual([
    ['PUT', '/tickets/ticket-new'],
    ['POST', '/logbook'],
  ]);
  await until(() => store.getState().editor.save === 'saved');
});

it('what another page left may have arrived: it is sent as it was, and what is changed since goes after it', async () => {
  const asked = fakeServer([]);
  const store = await openStore();
  const item = { ...navy, name: 'left by a page' };
  const sending = { id: 'sending-of-the-page', device: 'device-one', name: 'a phone' };
  const arg = { put: [{ noun: 'threads' as const, item, base: navy }], sending };
  store.dispatch(
    queueFound([{ id: 'queued-one', endpoint: 'changeShelf', arg, tried: false, refused: null }]),
  );
  store.dispatch(putItem('threads', { ...item, name: 'changed since' }));
  await sentAll(store);
  expect(asked.map(({ body }) => (body.put?.[0]?.item as { name: string } | undefined)?.name)).toEqual([
    'left by a page',
    'changed since',
  ]);
  expect(asked[0]?.body.sending).not.toEqual(asked[1]?.body.sending);
});

it('a device that is to be paired first keeps what waits, and sends it then', async () => {
  const asked = fakeServer([401, 200]);
  const store = await openStore();
  store.dispatch(putItem('threads', { ...navy, name: 'night' }));
  await until(() => store.getState().queue.offline);
  expect(waiting(store)[0]?.refused).toBeNull();
  await sentAll(store);
  expect(asked).toHaveLength(2);
});
