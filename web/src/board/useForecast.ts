import { wrap, type Remote } from 'comlink';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import type { BrewPlan, Forgiveness } from '@vendu/core';
import type { BoardForecast, BoardGround, Forecaster } from './forecaster';

/** A plan rests this long before it is tried for forgiveness, ms. */
const RESTS_MS = 350;
/** Name of the measure that the browser keeps for each forecast: from the plan's change to its answer. */
export const FORECAST_MEASURE = 'vendu.forecast';

export interface LiveForecast {
  /** The newest answer; while the next is on its way the last one stays. */
  forecast: BoardForecast | null;
  /** Why the plan has none. */
  trouble: string | null;
  /** Of the plan at rest; `null` while it moves. */
  forgiveness: Forgiveness | null;
  forecaster: Remote<Forecaster> | null;
}

/** Forecasts a plan in a worker as fast as it changes: only the newest plan is ever waited for. */
export function useForecast(plan: BrewPlan, ground: BoardGround | null): LiveForecast {
  const [forecaster, setForecaster] = useState<Remote<Forecaster> | null>(null);
  const [answer, setAnswer] = useState<Pick<LiveForecast, 'forecast' | 'trouble'>>({
    forecast: null,
    trouble: null,
  });
  const [forgiven, setForgiven] = useState<{ plan: BrewPlan; forgiveness: Forgiveness } | null>(null);
  const isBusy = useRef(false);
  const waiting = useRef<BrewPlan | null>(null);

  const groundKey = JSON.stringify(ground);
  useEffect(() => {
    const known = JSON.parse(groundKey) as BoardGround | null;
    if (known === null) return undefined;
    const worker = new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' });
    const remote = wrap<Forecaster>(worker);
    void remote.learn(known).then((trouble) => {
      if (trouble) setAnswer({ forecast: null, trouble });
      // A proxy is a function to React, which would call it.
      else setForecaster(() => remote);
    });
    return () => {
      worker.terminate();
      isBusy.current = false;
      setForecaster(null);
    };
  }, [groundKey]);

  const ask = useEffectEvent(async (remote: Remote<Forecaster>, asked: BrewPlan) => {
    waiting.current = asked;
    if (isBusy.current) return;
    isBusy.current = true;
    while (waiting.current) {
      const next: BrewPlan = waiting.current;
      waiting.current = null;
      const start = performance.now();
      const result = await remote.forecast(next);
      performance.measure(FORECAST_MEASURE, { start, end: performance.now() });
      setAnswer(
        result.ok ? { forecast: result.value, trouble: null } : { forecast: null, trouble: result.message },
      );
    }
    isBusy.current = false;
  });

  useEffect(() => {
    if (!forecaster) return undefined;
    void ask(forecaster, plan);
    let isStale = false;
    const rested = setTimeout(() => {
      void forecaster.forgiveness(plan).then((result) => {
        if (!isStale && result.ok) setForgiven({ plan, forgiveness: result.value });
      });
    }, RESTS_MS);
    return () => {
      isStale = true;
      clearTimeout(rested);
    };
  }, [forecaster, plan]);

  return { ...answer, forgiveness: forgiven?.plan === plan ? forgiven.forgiveness : null, forecaster };
}
