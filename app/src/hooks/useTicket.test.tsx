import { configureStore } from '@reduxjs/toolkit';
import { act, render } from '@testing-library/react-native';
import { STAGES } from '@zt/core/model/stages';
import type { Change, Ticket } from '@zt/core/model/ticket';
import { newTicket } from '@zt/core/planner/newTicket';
import type { Plan } from '@zt/core/planner/planned';
import { designChange, oneDesign } from '@zt/core/testing/designed';
import { useEffect } from 'react';
import { Provider } from 'react-redux';
import { ticketChanged, ticketNamed, ticketOpened, triedOut } from '../store/editor';
import { rootReducer } from '../store/state';
import { OpenTicketProvider, TriedOut, usePlan, useTicket } from './useTicket';

/** A store that saves nothing. */
const storeAtRest = () =>
  configureStore({
    reducer: rootReducer,
    middleware: (usual) => usual({ serializableCheck: false, immutableCheck: false }),
  });

const drawn = new Map<string, number>();
const count = (what: string) => void drawn.set(what, (drawn.get(what) ?? 0) + 1);

/** Tells one part of ticket and plan, as the parts of a screen do. */
function Selecting({ part }: { part: keyof Ticket & keyof Plan }) {
  useTicket(part);
  usePlan(part);
  useEffect(() => count(part));
  return null;
}

/** Takes all of ticket and plan, as every part of a screen did before. */
function TakingAll({ part }: { part: string }) {
  useTicket();
  usePlan();
  useEffect(() => count(`all for ${part}`));
  return null;
}

function onSheet() {
  const store = storeAtRest();
  const ticket = newTicket('ticket', 't-shirt');
  store.dispatch(
    ticketOpened({
      rev: 1,
      ticket: {
        ...ticket,
        piece: { ...ticket.piece, readings: { chest: 520, length: 720 } },
        design: oneDesign(ticket.design, { widthMm: 80, heightMm: 60 }),
      },
    }),
  );
  render(
    <Provider store={store}>
      <OpenTicketProvider loggedAs={null}>
        {STAGES.map((stage) => (
          <Selecting key={stage} part={stage} />
        ))}
        {STAGES.map((stage) => (
          <TakingAll key={stage} part={stage} />
        ))}
      </OpenTicketProvider>
    </Provider>,
  );
  return store;
}

/** How many parts are drawn again by something that is done: those that select, and those that take all. */
function drawnAgain(work: () => void): { selecting: string[]; takingAll: number } {
  drawn.clear();
  act(work);
  const parts = [...drawn.keys()];
  return {
    selecting: parts.filter((part) => !part.startsWith('all')),
    takingAll: parts.filter((part) => part.startsWith('all')).length,
  };
}

const report = (what: string, { selecting, takingAll }: ReturnType<typeof drawnAgain>) =>
  process.stdout.write(
    `  ${what}: ${selecting.length} of nine parts drawn again; ${takingAll} where each takes all\n`,
  );

describe('what is drawn again', () => {
  it('is nothing but what shows the name, when it is typed', () => {
    const store = onSheet();
    const again = drawnAgain(() => void store.dispatch(ticketNamed({ name: 'Oars' })));
    report('a letter in the name', again);
    expect(again).toEqual({ selecting: [], takingAll: 9 });
  });

  it('is the log alone, when its notes are typed', () => {
    const store = onSheet();
    const change: Change = { stage: 'log', set: { note: 'a' } };
    const again = drawnAgain(() => void store.dispatch(ticketChanged({ change })));
    report('a letter in the notes', again);
    expect(again).toEqual({ selecting: ['log'], takingAll: 9 });
  });

  it('leaves piece, design, finish and log alone, when the design is moved', () => {
    const store = onSheet();
    const change: Change = { stage: 'place', set: { offset: { x: 5, y: 0 } } };
    const again = drawnAgain(() => void store.dispatch(ticketChanged({ change })));
    report('the design moved', again);
    expect(again.selecting).toContain('place');
    for (const still of ['piece', 'design', 'finish', 'log']) expect(again.selecting).not.toContain(still);
    expect(again.takingAll).toBe(9);
  });
});

const seen: Record<string, number | null> = {};
function See({ as }: { as: string }) {
  const { design } = useTicket('design');
  useEffect(() => {
    seen[as] = design.parts[0]?.widthMm ?? null;
  });
  return null;
}

it('a mend that is tried out changes only what is drawn as tried, and goes with the next change', () => {
  const store = storeAtRest();
  store.dispatch(ticketOpened({ ticket: newTicket('ticket', 't-shirt'), rev: 1 }));
  render(
    <Provider store={store}>
      <See as="panel" />
      <TriedOut>
        <See as="sheet" />
      </TriedOut>
    </Provider>,
  );
  const change = designChange(newTicket('ticket', 't-shirt'), { widthMm: 42 });
  act(() => void store.dispatch(triedOut({ label: ['smaller'], result: [], change })));
  expect(seen).toEqual({ panel: null, sheet: 42 });
  act(() => void store.dispatch(ticketNamed({ name: 'Oars' })));
  expect(seen).toEqual({ panel: null, sheet: null });
});
