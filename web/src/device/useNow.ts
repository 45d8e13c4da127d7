import { useEffect, useState } from 'react';
import { brewNowMs } from './brewClock';

/**
 * The bench's clock, read again every so often. It is read, never counted, so a sleeping tab loses nothing.
 *
 * @param everyMs - `null` stops the reading
 */
export function useNow(everyMs: number | null): number {
  const [nowMs, setNowMs] = useState(() => brewNowMs());
  useEffect(() => {
    if (everyMs === null) return;
    const timer = setInterval(() => setNowMs(brewNowMs()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return nowMs;
}
