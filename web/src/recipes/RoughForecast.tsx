import { formatDuration, targetsOf, type Aim, type CalibratedForecast, type Expected } from '@vendu/core';
import { BandBar } from '../ui/BandBar';

/** Time, strength and yield to expect, each a band on its own scale over the window aimed at. */
export function RoughForecast({
  forecast,
  aim,
  plannedS,
}: {
  forecast: CalibratedForecast;
  aim: Aim;
  /** When the plan has it drained, s. */
  plannedS?: number;
}) {
  const { drawdownS, tdsPercent, yieldPercent, beverageG, isRough } = forecast;
  const targets = targetsOf(aim);
  const percent = (digits: number) => (value: number) => value.toFixed(digits);
  return (
    <div className="flex flex-col gap-2">
      <BandBar
        name="Strength"
        unit="%"
        hue="strength"
        print={percent(2)}
        expected={tdsPercent}
        wanted={targets.tdsPercent ?? null}
        scale={{ low: 0.9, high: 1.7 }}
        isRough={isRough}
      />
      <BandBar
        name="Yield"
        unit="%"
        hue="yield"
        print={percent(1)}
        expected={yieldPercent}
        wanted={targets.yieldPercent ?? null}
        scale={{ low: 13, high: 26 }}
        isRough={isRough}
      />
      <BandBar
        name="Drained"
        unit=""
        hue="time"
        print={(value) => formatDuration(Math.round(value))}
        expected={drawdownS}
        wanted={targets.drawdownS ?? null}
        planned={plannedS ?? null}
        scale={timeScale(drawdownS, plannedS)}
        isRough={isRough}
      />
      <p className="caption">
        {isRough
          ? 'Rough ranges: no brew of this lot has been measured yet. 9 cups in 10 fall inside them.'
          : 'From this lot’s measured brews. 9 cups in 10 fall inside.'}{' '}
        About <span className="reading">{Math.round(beverageG.value)}</span> g in the cup.
      </p>
    </div>
  );
}

function timeScale({ high }: Expected, targetS = 0): { low: number; high: number } {
  return { low: 30, high: Math.max(240, Math.ceil(Math.max(high, targetS + 20) / 60) * 60) };
}
