import { createSelector } from '@reduxjs/toolkit';
import { shelfWith } from '@zt/core/ledger/shelfWith';
import type { KeptTicket } from '@zt/core/model/api';
import { DEFAULT_HOUSE_RULES, type HouseRules, HouseRulesSchema } from '@zt/core/model/houseRules';
import { EMPTY_SHELF } from '@zt/core/model/shelf';
import { mergeFitting } from '@zt/core/sync/merge';
import { EXAMPLE_ID, exampleShelf } from '@zt/core/table/example/example';
import { rulesApi } from '../services/rulesApi';
import { shelfApi } from '../services/shelfApi';
import { ALL, ticketsApi } from '../services/ticketsApi';
import { openReplica } from './editor';
import type { Queued } from './queue';
import type { RootState } from './state';

/** How a change stands: acknowledged, on its way, or waiting for the shop's computer to answer. */
export type ShopSaveState = 'saved' | 'saving' | 'failed';

const shelfAnswer = shelfApi.endpoints.shelf.select();
const rulesAnswer = rulesApi.endpoints.rules.select();
const ticketsAnswer = ticketsApi.endpoints.tickets.select(ALL);
/** The pages of the bench that were read, as one list. */
const selectRead = createSelector(
  [(state: RootState) => ticketsAnswer(state).data],
  (data) => data?.pages.flatMap((page) => page.tickets) ?? [],
);
const selectWaiting = (state: RootState) => state.queue.waiting;

/** The shelf with what was changed here and is not acknowledged yet. */
const selectOwnShelf = createSelector(
  [(state: RootState) => shelfAnswer(state).data ?? EMPTY_SHELF, selectWaiting],
  (shelf, waiting) =>
    waiting.reduce((now, one) => (one.endpoint === 'changeShelf' ? shelfWith(now, one.arg) : now), shelf),
);

const isExample = ({ editor }: RootState) => editor.present?.id === EXAMPLE_ID;
/** The shelf that is worked with: in the guided example an empty one has what is usual. */
export const selectShelf = createSelector([selectOwnShelf, isExample], (shelf, example) =>
  example ? exampleShelf(shelf) : shelf,
);

const fits = (rules: HouseRules) => HouseRulesSchema.safeParse(rules).success;
function rulesWith(theirs: HouseRules, one: Queued): HouseRules {
  if (one.endpoint !== 'saveRules') return theirs;
  const { rules: mine, base, sending } = one.arg;
  return base ? mergeFitting({ base, mine, theirs }, { by: sending?.name ?? '', when: '' }, fits) : mine;
}

/** The house rules with what was changed here and is not acknowledged yet. */
export const selectRules = createSelector(
  [(state: RootState) => rulesAnswer(state).data ?? DEFAULT_HOUSE_RULES, selectWaiting],
  (rules, waiting) => waiting.reduce(rulesWith, rules),
);

function benchWith(kept: readonly KeptTicket[], one: Queued): readonly KeptTicket[] {
  if (one.endpoint === 'removeTicket') return kept.filter(({ ticket }) => ticket.id !== one.arg);
  if (one.endpoint === 'addEntry')
    return kept.map((k) => (k.ticket.id === one.arg.ticket.id ? { ...k, loggedAs: one.arg.id } : k));
  if (one.endpoint === 'removeEntry')
    return kept.map((k) => (k.ticket.id === one.arg.ticketId ? { ...k, loggedAs: null } : k));
  return kept;
}

/** Tickets that were changed or begun here, as far as that is not acknowledged yet. */
export const selectUnsentTickets = createSelector(
  [(state: RootState) => state.editor.waiting, (state: RootState) => state.editor],
  (waiting, editor) => {
    const open = openReplica(editor);
    return open && editor.save !== 'saved' && !editor.offBench ? [...waiting, open] : waiting;
  },
);

/** The tickets that are not taken off the bench, with what was done here and is not acknowledged yet. */
export const selectBench = createSelector(
  [selectRead, selectUnsentTickets, selectWaiting],
  (read, unsent, waiting) => {
    const kept = read.map((k) => {
      const own = unsent.find(({ value }) => value.id === k.ticket.id);
      return own ? { ...k, ticket: own.value } : k;
    });
    const isNew = (id: string) => !kept.some(({ ticket }) => ticket.id === id);
    const started = unsent
      .filter(({ rev, value }) => rev === 0 && isNew(value.id))
      .map(({ value: ticket, rev }) => ({ ticket, rev, updatedAt: '', loggedAs: null, onBench: true }));
    return waiting.reduce(benchWith, [...kept, ...started] as readonly KeptTicket[]);
  },
);

/** A ticket as this device has it: in the list of the bench as last heard, or never heard of anywhere else. */
export function ticketHere(state: RootState, id: string): KeptTicket | null {
  const listed = selectRead(state).find(({ ticket }) => ticket.id === id);
  const left = state.editor.waiting.find(({ value }) => value.id === id);
  if (listed || !left) return listed ?? null;
  return { ticket: left.base, rev: left.rev, updatedAt: '', loggedAs: null, onBench: true };
}

/** How the changes of the shelf, or of the rules, stand with the shop's computer. */
export const saveStateOf =
  (endpoint: 'changeShelf' | 'saveRules') =>
  ({ queue }: RootState): ShopSaveState =>
    queue.waiting.some((one) => one.endpoint === endpoint) ? (queue.offline ? 'failed' : 'saving') : 'saved';
