import { wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { BoardGround, Forecaster } from './forecaster';

/** A forecaster in a worker of its own that has learned a lot; `null` until it has, or where it cannot. */
export function useForecaster(ground: BoardGround | null): {
  forecaster: Remote<Forecaster> | null;
  trouble: string | null;
} {
  const [learned, setLearned] = useState<{ forecaster: Remote<Forecaster> | null; trouble: string | null }>({
    forecaster: null,
    trouble: null,
  });
  const groundKey = useMemo(() => JSON.stringify(ground), [ground]);
  useEffect(() => {
    const known = JSON.parse(groundKey) as BoardGround | null;
    if (known === null) return undefined;
    const worker = new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' });
    const remote = wrap<Forecaster>(worker);
    void remote.learn(known).then((trouble) => {
      setLearned(trouble === null ? { forecaster: remote, trouble } : { forecaster: null, trouble });
    });
    return () => {
      worker.terminate();
      setLearned({ forecaster: null, trouble: null });
    };
  }, [groundKey]);
  return learned;
}
