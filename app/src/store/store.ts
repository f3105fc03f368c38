import { combineReducers, configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { type TypedUseSelectorHook, useDispatch, useSelector } from 'react-redux';
import { api } from '../services/api';
import { createAutosave } from './autosave';
import { editorReducer } from './editor';
import { queueReducer } from './queue';

export const rootReducer = combineReducers({
  editor: editorReducer,
  queue: queueReducer,
  [api.reducerPath]: api.reducer,
});

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
export type RootState = ReturnType<typeof rootReducer>;
/** What is done with the store at hand. */
export type AppThunk<T = void> = ThunkAction<T, RootState, unknown, UnknownAction>;
export const useAppDispatch: () => AppStore['dispatch'] = useDispatch;
export const useAppSelector: TypedUseSelectorHook<RootState> = useSelector;
