import type { Remote } from 'comlink';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import type { BrewPlan, Forgiveness } from '@vendu/core';
import type { BoardForecast, BoardGround, Forecaster } from './forecaster';
import { useForecaster } from './useForecaster';

/** A plan rests this long before it is tried for forgiveness, ms. */
const RESTS_MS = 350;
/** Name of the measure that the browser keeps for each forecast: from the plan's change to its answer. */
const FORECAST_MEASURE = 'vendu.forecast';

interface Asked {
  plan: BrewPlan;
  isMoving: boolean;
}

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
export function useForecast(
  plan: BrewPlan,
  ground: BoardGround | null,
  { isMoving }: { isMoving: boolean },
): LiveForecast {
  const { forecaster, trouble } = useForecaster(ground);
  const [answer, setAnswer] = useState<Pick<LiveForecast, 'forecast' | 'trouble'>>({
    forecast: null,
    trouble: null,
  });
  const [forgiven, setForgiven] = useState<{ plan: BrewPlan; forgiveness: Forgiveness } | null>(null);
  /** The forecaster that is at work; another one starts afresh. */
  const busy = useRef<Remote<Forecaster> | null>(null);
  const waiting = useRef<Asked | null>(null);

  const ask = useEffectEvent(async (remote: Remote<Forecaster>, asked: Asked) => {
    waiting.current = asked;
    if (busy.current === remote) return;
    busy.current = remote;
    while (waiting.current) {
      const next: Asked = waiting.current;
      waiting.current = null;
      const start = performance.now();
      const result = await remote.forecast(next.plan, next.isMoving);
      performance.measure(FORECAST_MEASURE, { start, end: performance.now() });
      setAnswer(
        result.ok ? { forecast: result.value, trouble: null } : { forecast: null, trouble: result.message },
      );
    }
    busy.current = null;
  });

  useEffect(() => {
    if (!forecaster) return undefined;
    void ask(forecaster, { plan, isMoving });
    if (isMoving) return undefined;
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
  }, [forecaster, plan, isMoving]);

  return {
    ...answer,
    trouble: trouble ?? answer.trouble,
    forgiveness: forgiven?.plan === plan ? forgiven.forgiveness : null,
    forecaster,
  };
}
