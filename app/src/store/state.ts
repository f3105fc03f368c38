import { combineReducers, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { api } from '../services/api';
import { editorReducer } from './editor';
import { queueReducer } from './queue';

export const rootReducer = combineReducers({
  editor: editorReducer,
  queue: queueReducer,
  [api.reducerPath]: api.reducer,
});
export type RootState = ReturnType<typeof rootReducer>;
/** What is done with the store at hand. */
export type AppThunk<T = void> = ThunkAction<T, RootState, unknown, UnknownAction>;
