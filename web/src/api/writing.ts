import { createReducer, type Action } from '@reduxjs/toolkit';
import { useAppSelector } from '../state/hooks';

// Writes that were sent and are not answered yet. The cache forgets a write once the page that sent it is left; whoever
// comes to the next page at once still waits for it.

const became = (...ends: string[]) => {
  const types = ends.map((end) => `api/executeMutation/${end}`);
  return ({ type }: Action): boolean => types.includes(type);
};

/** How many there are. */
export const writing = createReducer(0, (builder) =>
  builder
    .addMatcher(became('pending'), (count) => count + 1)
    .addMatcher(became('fulfilled', 'rejected'), (count) => count - 1),
);

/** Whether something that was sent to be stored is not answered yet: what is read meanwhile may be of before it. */
export function useIsWriting(): boolean {
  return useAppSelector((state: { writing: number }) => state.writing > 0);
}
