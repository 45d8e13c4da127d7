import type { ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import type { TypedMutationOnQueryStarted } from '@reduxjs/toolkit/query/react';
import type { askInOrder } from './api';

type Dispatched = Parameters<ThunkDispatch<unknown, unknown, UnknownAction>>[0];

/**
 * What a change is answered is the thing as it is now, and shown at once: until it was read again, what is typed on the
 * heels of a change would be built on the thing of before. It may stand in several places. A refusal is told where the
 * change was asked for.
 */
export function showing<T>(
  ...shows: readonly ((answer: T) => unknown)[]
): TypedMutationOnQueryStarted<T, unknown, typeof askInOrder, 'api'> {
  return async (_, { dispatch, queryFulfilled }) => {
    try {
      const { data } = await queryFulfilled;
      for (const show of shows) dispatch(show(data) as Dispatched);
    } catch {
      // Told there.
    }
  };
}
