import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { type TypedUseSelectorHook, useDispatch, useSelector, useStore } from 'react-redux';
import { api } from '../services/api';
import { createAutosave } from './autosave';
import { type RootState, rootReducer } from './state';

/** A store with autosave; tests make their own. */
export function makeStore() {
  const store = configureStore({
    reducer: rootReducer,
    middleware: (defaults) =>
      defaults({ serializableCheck: false, immutableCheck: false })
        .prepend(createAutosave())
        .concat(api.middleware),
  });
  setupListeners(store.dispatch);
  return store;
}

export type AppStore = ReturnType<typeof makeStore>;
export const useAppDispatch: () => AppStore['dispatch'] = useDispatch;
export const useAppStore: () => AppStore = useStore as never;
export const useAppSelector: TypedUseSelectorHook<RootState> = useSelector;
