import type { Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { BoardGround, Forecaster } from './forecaster';
import { giveBack, takeForecaster } from './keptForecasters';

interface Learned {
  groundKey: string;
  forecaster: Remote<Forecaster> | null;
  trouble: string | null;
}
const NOTHING = { forecaster: null, trouble: null };

/** A forecaster that has learned a lot; `null` until it has, or where it cannot. */
export function useForecaster(ground: BoardGround | null): Omit<Learned, 'groundKey'> {
  const [learned, setLearned] = useState<Learned>({ groundKey: '', ...NOTHING });
  const groundKey = useMemo(() => JSON.stringify(ground), [ground]);
  useEffect(() => {
    if (groundKey === 'null') return undefined;
    const taken = takeForecaster(groundKey);
    let isGone = false;
    void taken.learned.then((trouble) => {
      if (!isGone) setLearned({ groundKey, forecaster: trouble === null ? taken.remote : null, trouble });
    });
    return () => {
      isGone = true;
      giveBack(taken);
      setLearned({ groundKey: '', ...NOTHING });
    };
  }, [groundKey]);
  // One that knows the brews of before is not asked about those of now: the answer would hold up the right one.
  return learned.groundKey === groundKey ? learned : NOTHING;
}
