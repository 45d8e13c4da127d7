import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { BrewPlan, Expectation } from '@vendu/core';
import type { Forecaster } from './forecaster';

/** A plan rests this long before its change is worked out, ms. */
const RESTS_MS = 250;

type Figures = Expectation['figures'];

/** What going from one plan to another is expected to do; `null` until both plans rest and are worked out. */
export function useShift(forecaster: Remote<Forecaster> | null, from: BrewPlan, to: BrewPlan): Figures {
  const [worked, setWorked] = useState<{ key: string; figures: Figures }>({ key: '', figures: null });
  const key = JSON.stringify([from, to]);
  useEffect(() => {
    const [before, after] = JSON.parse(key) as [BrewPlan, BrewPlan];
    if (!forecaster || JSON.stringify(before) === JSON.stringify(after)) return undefined;
    let isStale = false;
    const rested = setTimeout(() => {
      void forecaster.change(before, after).then((figures) => {
        if (!isStale) setWorked({ key, figures });
      });
    }, RESTS_MS);
    return () => {
      isStale = true;
      clearTimeout(rested);
    };
  }, [forecaster, key]);
  return worked.key === key ? worked.figures : null;
}
