import { createAction, createReducer, type Action, type Middleware } from '@reduxjs/toolkit';
import { useAppSelector } from '../state/hooks';

// Writes that were sent and whose answer is not shown yet. The cache forgets a write once the page that sent it is left;
// whoever comes to the next page at once still waits for it.

const became = (...ends: string[]) => {
  const types = ends.map((end) => `api/executeMutation/${end}`);
  return (action: unknown): action is Action => types.includes((action as Action).type);
};
const isSent = became('pending');
const isAnswered = became('fulfilled', 'rejected');
const answerShown = createAction('writing/answerShown');

/** How many there are. */
export const writing = createReducer(0, (builder) =>
  builder.addCase(answerShown, (count) => count - 1).addMatcher(isSent, (count) => count + 1),
);

/** An answer is put where the thing stands within the turn that it came in: a write is over in the next one. */
export const endOfWrites: Middleware =
  ({ dispatch }) =>
  (next) =>
  (action) => {
    if (isAnswered(action)) setTimeout(() => dispatch(answerShown()));
    return next(action);
  };

/** Whether something that was sent to be stored is not shown as it is now: what is read meanwhile may be of before it. */
export function useIsWriting(): boolean {
  return useAppSelector((state: { writing: number }) => state.writing > 0);
}
