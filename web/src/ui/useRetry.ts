import { useEffect, useEffectEvent } from 'react';
import type { Trouble } from '../api/problem';

const EVERY_MS = 4000;
/** What passes without anybody changing anything. */
const PASSING = ['no-answer', 'unavailable', 'busy', 'unknown-outcome', 'full'];

/** Whether a trouble passes by itself. */
export function isPassing(trouble: Trouble | null): boolean {
  return trouble !== null && PASSING.includes(trouble.kind);
}

/** Asks again every few seconds while what stands in the way may pass by itself. */
export function useRetry(trouble: Trouble | null, onRetry: () => void): void {
  const passes = isPassing(trouble);
  const retry = useEffectEvent(onRetry);
  useEffect(() => {
    if (!passes) return undefined;
    const timer = setInterval(() => retry(), EVERY_MS);
    return () => clearInterval(timer);
  }, [passes]);
}
