import { createListenerMiddleware } from '@reduxjs/toolkit';
import { brewsApi } from '../api/brewsApi';
import { cupsApi } from '../api/cupsApi';
import { afterDone } from '../bench/benchSlice';

/** What a brew still wanted is met by the record itself: a reading, a warm or a cool tasting. */
export function metTasks() {
  const met = createListenerMiddleware();
  met.startListening({
    matcher: brewsApi.endpoints.addReading.matchFulfilled,
    effect: ({ payload }, { dispatch }) => {
      dispatch(afterDone({ brewId: payload.id, task: 'read' }));
    },
  });
  met.startListening({
    matcher: cupsApi.endpoints.putTasting.matchFulfilled,
    effect: ({ payload, meta }, { dispatch }) => {
      const { stage } = meta.arg.originalArgs;
      if (stage !== 'hot') dispatch(afterDone({ brewId: payload.id, task: `taste-${stage}` }));
    },
  });
  return met.middleware;
}
