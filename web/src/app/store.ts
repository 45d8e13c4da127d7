import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { api } from '../api/api';
import { endOfWrites, writing } from '../api/writing';
import { benchApi } from '../bench/benchApi';
import { benchSlice, benchTakenUp, entriesHeard, keptBench } from '../bench/benchSlice';
import { noteKeeping } from '../bench/deviceKeeping';
import { keepOnServer, onTakingBack, toldBy } from '../bench/runningSync';
import { letScalesTell } from '../bench/scaleTells';
import { onDraftWritten, readDraft, writeDraft } from '../device/draft';
import { codeFallenDue } from './codeFallenDue';
import { metTasks } from './metTasks';

const rootReducer = combineReducers({
  [api.reducerPath]: api.reducer,
  [benchSlice.reducerPath]: benchSlice.reducer,
  writing,
});

const BENCH_DRAFT = 'bench';
const UNREADABLE_DRAFT = 'bench.unreadable';

/** The store. What runs on the bench is read from this device at the start and kept there at every change. */
export function createStore() {
  const kept = keptBench(readDraft(BENCH_DRAFT));
  // What this version cannot read is put aside, not lost: another version can.
  if (kept && kept.unreadable.length > 0) writeDraft(UNREADABLE_DRAFT, kept.unreadable);
  const store = configureStore({
    reducer: rootReducer,
    middleware: (getDefault) => getDefault().concat(endOfWrites, api.middleware, metTasks(), codeFallenDue()),
    ...(kept ? { preloadedState: { bench: kept.bench } } : {}),
  });
  function tellServer() {
    keepOnServer(() => store.getState().bench.brews, {
      keep: async (key, brew) => {
        const answer = await store.dispatch(benchApi.endpoints.keepRunning.initiate({ key, brew }));
        const entries = answer.data?.entries ?? [];
        if (entries.length > 0) store.dispatch(entriesHeard({ key, entries }));
        return toldBy(answer);
      },
      clear: async (key) => toldBy(await store.dispatch(benchApi.endpoints.clearRunning.initiate(key))),
    });
  }
  let last = store.getState().bench;
  let isTakingUp = false;
  store.subscribe(() => {
    const { bench } = store.getState();
    if (bench === last || isTakingUp) return;
    noteKeeping({ marks: writeDraft(BENCH_DRAFT, (last = bench)) });
    tellServer();
  });
  onTakingBack(tellServer);
  letScalesTell(
    () => store.getState().bench.brews,
    (told) => store.dispatch(told),
  );
  // One bench to a device: what another of its pages does there is done here too, or one would undo the other.
  onDraftWritten(BENCH_DRAFT, () => {
    const written = keptBench(readDraft(BENCH_DRAFT));
    if (!written) return;
    // Not written back: the page that wrote it may have gone on since, and tells the server itself.
    isTakingUp = true;
    store.dispatch(benchTakenUp(written.bench));
    isTakingUp = false;
    last = store.getState().bench;
  });
  tellServer();
  return store;
}
