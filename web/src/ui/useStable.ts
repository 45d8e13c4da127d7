import { useCallback, useLayoutEffect, useRef } from 'react';

/** A callback that stays the same while what it does follows the page: memoised parts are not drawn again for it. */
export function useStable<A extends unknown[], R>(callback: (...args: A) => R): (...args: A) => R {
  const latest = useRef(callback);
  useLayoutEffect(() => {
    latest.current = callback;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
