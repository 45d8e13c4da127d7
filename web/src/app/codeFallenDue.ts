import { createListenerMiddleware, isRejectedWithValue } from '@reduxjs/toolkit';
import { api } from '../api/api';
import { troubleOf } from '../api/problem';

/** The lab asks for a code, and it is time: who is signed in is read again, and the page asks for the code first. */
export function codeFallenDue() {
  const due = createListenerMiddleware();
  due.startListening({
    matcher: isRejectedWithValue,
    effect: ({ payload }, { dispatch }) => {
      const error = payload as Parameters<typeof troubleOf>[0];
      if (troubleOf(error)?.kind === 'code-due') dispatch(api.util.invalidateTags(['Session']));
    },
  });
  return due.middleware;
}
