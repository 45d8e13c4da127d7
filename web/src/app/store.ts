import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from '../api/api';
import { benchSlice } from '../bench/benchSlice';
import { readDraft, writeDraft } from './draft';

const rootReducer = combineReducers({
  [api.reducerPath]: api.reducer,
  [benchSlice.reducerPath]: benchSlice.reducer,
});
export type RootState = ReturnType<typeof rootReducer>;

const BENCH_DRAFT = 'bench';

/** The store. What runs on the bench is read from this device at the start and kept there at every change. */
export function createStore() {
  const kept = readDraft(BENCH_DRAFT) as RootState['bench'] | null;
  const store = configureStore({
    reducer: rootReducer,
    middleware: (getDefault) => getDefault().concat(api.middleware),
    ...(kept ? { preloadedState: { bench: kept } } : {}),
  });
  let last = store.getState().bench;
  store.subscribe(() => {
    const { bench } = store.getState();
    if (bench !== last) writeDraft(BENCH_DRAFT, (last = bench));
  });
  return store;
}

export const useAppDispatch = useDispatch.withTypes<ReturnType<typeof createStore>['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
