import { useEffect, useMemo, useState } from 'react';
import type { ChangeAdvice } from '@vendu/core';
import type { AskedAdvice, BoardGround } from '../board/forecaster';
import { giveBack, takeForecaster } from '../board/keptForecasters';

/**
 * What to change next, or why nothing can be said; `null` until there is an answer, and nothing is asked for as long as
 * `asked` is `null`. It is asked in one breath with the learning of the lot, which the forecaster does first: a page that
 * waited for word of that before it asked would be busy drawing meanwhile.
 */
export function useAdvice(ground: BoardGround, asked: AskedAdvice | null): ChangeAdvice | string | null {
  const [advice, setAdvice] = useState<ChangeAdvice | string | null>(null);
  const groundKey = useMemo(() => JSON.stringify(ground), [ground]);
  const askedKey = JSON.stringify(asked);
  useEffect(() => {
    if (askedKey === 'null') return undefined;
    const taken = takeForecaster(groundKey);
    let isStale = false;
    void taken.remote.advise(JSON.parse(askedKey) as AskedAdvice).then((result) => {
      if (!isStale) setAdvice(result.ok ? result.value : result.message);
    });
    return () => {
      isStale = true;
      giveBack(taken);
    };
  }, [groundKey, askedKey]);
  return advice;
}
