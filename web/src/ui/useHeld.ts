import { useState } from 'react';

/** A value as it was before it began to be held; `undefined` where it has been held from the first. */
export function useHeld<T>(value: T, isHeld: boolean): T | undefined {
  const [kept, setKept] = useState(isHeld ? undefined : value);
  if (!isHeld && kept !== value) setKept(value);
  return kept;
}
