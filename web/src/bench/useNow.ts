import { useEffect, useState } from 'react';

/**
 * The wall clock, read again every so often. It is read, never counted, so a sleeping tab loses nothing.
 *
 * @param everyMs - `null` stops the reading
 */
export function useNow(everyMs: number | null): number {
  const [nowMs, setNowMs] = useState(() => Date.now());
  useEffect(() => {
    if (everyMs === null) return;
    const timer = setInterval(() => setNowMs(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return nowMs;
}
