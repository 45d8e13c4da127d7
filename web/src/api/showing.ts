import type { ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import type { TypedMutationOnQueryStarted } from '@reduxjs/toolkit/query/react';
import type { askInOrder } from './api';

type Dispatched = Parameters<ThunkDispatch<unknown, unknown, UnknownAction>>[0];

/**
 * What a change is answered is the thing as it is now, and shown at once: until it was read again, what is typed on the
 * heels of a change would be built on the thing of before. A refusal is told where the change was asked for.
 */
export function showing<T>(
  show: (answer: T) => unknown,
): TypedMutationOnQueryStarted<T, unknown, typeof askInOrder, 'api'> {
  return async (_, { dispatch, queryFulfilled }) => {
    try {
      const { data } = await queryFulfilled;
      dispatch(show(data) as Dispatched);
    } catch {
      // Told there.
    }
  };
}
