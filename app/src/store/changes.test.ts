import type { KeptTicket } from '@zt/core/model/api';
import { exampleA } from '@zt/core/testing/samples';
import { api } from '../services/api';
import type { Heard } from '../services/hearing';
import { ALL, ticketsApi } from '../services/ticketsApi';
import { asInBrowser, until } from '../testing/asInBrowser';
import { followChanges } from './changes';
import { makeStore } from './store';

const mockHearing: { hear: (heard: Heard) => void } = { hear: () => undefined };
jest.mock('../services/hearing', () => ({
  hearChanges: (hear: (heard: Heard) => void) => {
    mockHearing.hear = hear;
    return () => undefined;
  },
}));

asInBrowser();

const json = (value: unknown) =>
  new Response(JSON.stringify(value), { headers: { 'content-type': 'application/json' } });

/** The shop's computer: what it has, and its answers about the bench that are on their way while it is slow. */
function fakeShop() {
  const has: KeptTicket[] = [];
  const held: (() => void)[] = [];
  const shop = { has, held, isSlow: false };
  globalThis.fetch = (async ({ url }: Request) => {
    const id = /\/tickets\/(.+)$/.exec(url)?.[1];
    if (id) return json(has.find(({ ticket }) => ticket.id === id));
    const answer = json({ tickets: has, total: has.length, next: null });
    if (shop.isSlow) await new Promise<void>((arrived) => held.push(arrived));
    return answer;
  }) as typeof fetch;
  return shop;
}

it('what is heard of while the bench is read stays on it, though what was read was of before', async () => {
  const shop = fakeShop();
  const store = makeStore();
  const onBench = () => {
    const { data } = ticketsApi.endpoints.tickets.select(ALL)(store.getState());
    return data?.pages.flatMap(({ tickets }) => tickets.map(({ ticket }) => ticket.id)) ?? null;
  };
  followChanges(store);
  const asked = store.dispatch(ticketsApi.endpoints.tickets.initiate(ALL));
  await asked;
  expect(onBench()).toEqual([]);
  shop.isSlow = true;
  store.dispatch(api.util.invalidateTags(['tickets']));
  await until(() => shop.held.length === 1);
  shop.has.push({ ticket: exampleA(), rev: 1, updatedAt: '', loggedAs: null, onBench: true });
  const change = { noun: 'ticket', id: exampleA().id, rev: 1, device: null };
  mockHearing.hear({ type: 'message', data: JSON.stringify(change) });
  await until(() => onBench()?.length === 1);
  shop.isSlow = false;
  const ofBefore = store.dispatch(api.util.getRunningQueriesThunk());
  shop.held[0]?.();
  await Promise.all(ofBefore);
  await until(() => onBench()?.[0] === exampleA().id);
  asked.unsubscribe();
  store.dispatch(api.util.resetApiState());
});
