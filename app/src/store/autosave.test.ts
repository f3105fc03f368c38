import { newTicket } from '@zt/core/planner/newTicket';
import { IDBFactory } from 'fake-indexeddb';
import { asInBrowser, until } from '../testing/asInBrowser';
import { keepOutbox } from './autosave';
import { outboxFound, ticketChanged, ticketOpened, undone } from './editor';
import { NOTHING_UNSENT } from './outbox';
import { type AppStore, makeStore } from './store';

const TICKET = newTicket('autosave-ticket', 'bath-towel');
const turned = (turnDeg: number) => ticketChanged({ change: { stage: 'place', set: { turnDeg } } });
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

const REFUSED: Record<number, object> = {
  409: { code: 'conflict', rev: 6, message: '' },
  400: {
    code: 'unreadable',
    message: '',
    issues: [{ path: 'ticket.design.parts.0.widthMm', message: 'At most 2000 mm.' }],
  },
};

interface Put {
  rev: number;
  turnDeg: number;
  base?: unknown;
  sending?: unknown;
}

/** A server of a few lines: what was put, and what it answers. */
function fakeServer(answers: (number | 'down')[]) {
  const puts: Put[] = [];
  globalThis.fetch = (async (request: Request) => {
    const { ticket, rev, base, sending } = JSON.parse(await request.text());
    const answer = answers.shift() ?? 200;
    if (answer === 'down') throw new TypeError('no connection');
    puts.push({ rev, turnDeg: ticket.place.turnDeg, base, sending });
    const body = answer === 200 ? { rev: rev + 1, onBench: true } : REFUSED[answer];
    return new Response(JSON.stringify(body), {
      status: answer,
      headers: { 'content-type': 'application/json' },
    });
  }) as typeof fetch;
  return puts;
}

asInBrowser();

const stores: AppStore[] = [];
function emptyStore() {
  const store = makeStore();
  stores.push(store);
  return store;
}

/** No page goes on trying once its test is over. */
afterEach(async () => {
  fakeServer([]);
  for (const store of stores.splice(0)) {
    await until(() => ['saved', 'refused'].includes(store.getState().editor.save));
    await until(() => store.getState().editor.waiting.every(({ refused }) => refused.length > 0));
  }
});

function openStore() {
  const store = emptyStore();
  store.dispatch(ticketOpened({ ticket: TICKET, rev: 1 }));
  return store;
}

describe('autosave', () => {
  it('saves once after a burst of changes, over the revision it knows', async () => {
    const puts = fakeServer([]);
    const store = openStore();
    for (const turnDeg of [1, 2, 3]) store.dispatch(turned(turnDeg));
    await until(() => store.getState().editor.save === 'saved');
    expect(puts).toMatchObject([{ rev: 1, turnDeg: 3 }]);
    expect(store.getState().editor).toMatchObject({ save: 'saved', rev: 2 });
  });

  it('saves an undo too', async () => {
    const puts = fakeServer([]);
    const store = openStore();
    store.dispatch(turned(8));
    await until(() => puts.length === 1 && store.getState().editor.save === 'saved');
    store.dispatch(undone());
    await until(() => puts.length === 2);
    expect(puts.map((p) => [p.rev, p.turnDeg])).toEqual([
      [1, 8],
      [2, 0],
    ]);
  });

  it('says that it could not, and tries again by itself', async () => {
    const puts = fakeServer(['down', 200]);
    const store = openStore();
    store.dispatch(turned(5));
    await until(() => store.getState().editor.save === 'failed');
    await until(() => store.getState().editor.save === 'saved');
    expect(puts).toMatchObject([{ rev: 1, turnDeg: 5 }]);
  });

  it('keeps a ticket that was left for another before it was saved', async () => {
    const puts = fakeServer(['down', 200, 200]);
    const other = newTicket('another-ticket', 't-shirt');
    const store = openStore();
    store.dispatch(turned(5));
    store.dispatch(ticketOpened({ ticket: other, rev: 7 }));
    await until(() => puts.length === 1);
    expect(puts).toMatchObject([{ rev: 1, turnDeg: 5 }]);
    await until(() => store.getState().editor.waiting.length === 0);
    expect(store.getState().editor.present?.id).toBe('another-ticket');
  });

  it('gives back a ticket that waits, as it was left', async () => {
    fakeServer([]);
    const store = openStore();
    store.dispatch(turned(5));
    store.dispatch(ticketOpened({ ticket: newTicket('another-ticket', 't-shirt'), rev: 7 }));
    store.dispatch(ticketOpened({ ticket: TICKET, rev: 1 }));
    expect(store.getState().editor).toMatchObject({ save: 'unsaved', rev: 1, waiting: [] });
    expect(store.getState().editor.present?.place.turnDeg).toBe(5);
    await until(() => store.getState().editor.save === 'saved');
  });

  it('saves what was changed while it was saving, over the new revision', async () => {
    const puts = fakeServer([]);
    const store = openStore();
    store.dispatch(turned(5));
    const stop = store.subscribe(() => {
      if (store.getState().editor.save !== 'saving') return;
      stop();
      store.dispatch(turned(6));
    });
    await until(() => puts.length === 2 && store.getState().editor.save === 'saved');
    expect(puts).toMatchObject([
      { rev: 1, turnDeg: 5 },
      { rev: 2, turnDeg: 6 },
    ]);
  });

  it('is not asked again what was refused, until the ticket is another; and names the field', async () => {
    const puts = fakeServer([400]);
    const store = openStore();
    store.dispatch(turned(5));
    await until(() => store.getState().editor.save === 'refused');
    expect(store.getState().editor.refused).toEqual([
      { at: 'design.parts.0.widthMm', message: 'At most 2000 mm.' },
    ]);
    await pause(3600);
    expect(puts).toHaveLength(1);
    store.dispatch(turned(6));
    await until(() => store.getState().editor.save === 'saved');
    expect([puts.length, store.getState().editor.refused]).toEqual([2, []]);
  });

  it('lets a refused ticket hold up no other', async () => {
    const puts = fakeServer([400, 200]);
    const other = newTicket('another-ticket', 't-shirt');
    const store = openStore();
    store.dispatch(turned(5));
    await until(() => store.getState().editor.save === 'refused');
    store.dispatch(ticketOpened({ ticket: other, rev: 7 }));
    store.dispatch(turned(6));
    await until(() => puts.length === 2 && store.getState().editor.save === 'saved');
    expect(store.getState().editor.waiting).toMatchObject([{ refused: [{ at: 'design.parts.0.widthMm' }] }]);
    store.dispatch(ticketOpened({ ticket: TICKET, rev: 1 }));
    expect(store.getState().editor).toMatchObject({
      save: 'refused',
      refused: [{ at: 'design.parts.0.widthMm' }],
    });
  });

  it('is put together with what others saved, by sending what it was made from', async () => {
    const puts = fakeServer([409, 200]);
    const store = openStore();
    store.dispatch(turned(5));
    await until(() => store.getState().editor.save === 'saved');
    expect(puts.map(({ base }) => base)).toEqual([undefined, TICKET]);
  });

  it('sends again as it was what was not answered, and what was changed since after it', async () => {
    const puts = fakeServer(['down', 200, 200]);
    const store = openStore();
    store.dispatch(turned(5));
    await until(() => store.getState().queue.offline);
    store.dispatch(turned(6));
    await until(() => puts.length === 2 && store.getState().editor.save === 'saved');
    expect(puts.map(({ rev, turnDeg }) => [rev, turnDeg])).toEqual([
      [1, 5],
      [2, 6],
    ]);
    expect(puts[0]?.sending).not.toEqual(puts[1]?.sending);
    expect(store.getState().queue.offline).toBe(false);
  });
});

describe('the outbox', () => {
  beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
  });

  it('has every change until it is acknowledged, whatever becomes of the page', async () => {
    fakeServer(['down', 'down', 'down']);
    const store = openStore();
    keepOutbox(store).begin();
    store.dispatch(turned(5));
    await until(() => store.getState().queue.offline);
    const again = keepOutbox(openStore());
    expect((await again.found).tickets.map(({ value }) => value.place.turnDeg)).toEqual([5]);
  });

  it('is empty once all is acknowledged', async () => {
    fakeServer([]);
    const store = openStore();
    keepOutbox(store).begin();
    store.dispatch(turned(5));
    await until(() => store.getState().editor.save === 'saved');
    await pause(50);
    expect(await keepOutbox(openStore()).found).toEqual(NOTHING_UNSENT);
  });

  it('gives back what waited to a page that opens, which sends it', async () => {
    fakeServer(['down']);
    const closed = openStore();
    keepOutbox(closed).begin();
    closed.dispatch(turned(5));
    await until(() => closed.getState().queue.offline);
    const puts = fakeServer([]);
    const store = emptyStore();
    store.dispatch(outboxFound([...(await keepOutbox(store).found).tickets]));
    await until(() => store.getState().editor.waiting.length === 0);
    expect(puts.map(({ turnDeg }) => turnDeg)).toContain(5);
  });
});
