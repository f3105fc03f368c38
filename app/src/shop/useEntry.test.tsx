import { configureStore } from '@reduxjs/toolkit';
import { renderHook } from '@testing-library/react-native';
import { exampleA } from '@zt/core/testing/samples';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { type Queued, queueFound } from '../store/queue';
import { rootReducer } from '../store/state';
import { useEntry } from './useEntry';

const mockAsked = jest.fn((_id: string, _how: { skip: boolean }) => ({ data: undefined, isError: false }));
jest.mock('../services/logbookApi', () => ({
  ...jest.requireActual('../services/logbookApi'),
  useEntryQuery: (id: string, how: { skip: boolean }) => mockAsked(id, how),
}));

const logged = (refused: string | null): Queued => ({
  id: 'sending-1',
  endpoint: 'addEntry',
  arg: { id: 'entry-that-waits', ticket: exampleA() },
  tried: false,
  refused,
});

/** How an entry is asked for while something waits to be sent. */
async function asked(id: string, waiting: Queued[]) {
  // Nothing is sent here.
  const store = configureStore({
    reducer: rootReducer,
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
  });
  store.dispatch(queueFound(waiting));
  const wrapper = ({ children }: { children: ReactNode }) => <Provider store={store}>{children}</Provider>;
  const { result } = await renderHook(() => useEntry(id), { wrapper });
  return { waits: result.current.waits, skip: mockAsked.mock.lastCall?.[1].skip };
}

it('asks for an entry once the shop’s computer has it, not while it waits here', async () => {
  expect(await asked('entry-that-waits', [logged(null)])).toEqual({ waits: true, skip: true });
  expect(await asked('entry-that-waits', [])).toEqual({ waits: false, skip: false });
  expect(await asked('another-entry', [logged(null)])).toEqual({ waits: false, skip: false });
});
