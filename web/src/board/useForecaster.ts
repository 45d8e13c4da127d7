import type { Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { BoardGround, Forecaster } from './forecaster';
import { giveBack, takeForecaster } from './keptForecasters';

/** A forecaster that has learned a lot; `null` until it has, or where it cannot. */
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
    if (groundKey === 'null') return undefined;
    const taken = takeForecaster(groundKey);
    let isGone = false;
    void taken.learned.then((trouble) => {
      if (!isGone) setLearned({ forecaster: trouble === null ? taken.remote : null, trouble });
    });
    return () => {
      isGone = true;
      giveBack(taken);
      setLearned({ forecaster: null, trouble: null });
    };
  }, [groundKey]);
  return learned;
}
