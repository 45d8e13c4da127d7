import { useEffect, useState } from 'react';

/**
 * A value as it was before it began to be held; `undefined` where it has been held from the first. What should end the
 * holding may never come: after so long it is let go.
 */
export function useHeld<T>(value: T, isHeld: boolean, atMostMs: number): T | undefined {
  const [isOverdue, setOverdue] = useState(false);
  useEffect(() => {
    if (!isHeld) return undefined;
    const timer = setTimeout(() => setOverdue(true), atMostMs);
    return () => {
      clearTimeout(timer);
      setOverdue(false);
    };
  }, [isHeld, atMostMs]);
  const isKept = isHeld && !isOverdue;
  const [kept, setKept] = useState(isKept ? undefined : value);
  if (!isKept && kept !== value) setKept(value);
  return kept;
}
