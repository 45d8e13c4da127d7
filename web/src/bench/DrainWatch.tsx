import { drainOutlook, formatDuration, worryAtS, type BrewPlan, type DrainOutlook } from '@vendu/core';
import type { DrainForecast } from '../board/forecaster';
import { Notice } from '../ui/Notice';

/** What a drain off its plan asks for while there is time. */
const ADVICE: Record<Exclude<DrainOutlook, 'on-plan'>, string> = {
  late: 'Late. Pour low and gently from here, no more swirls; coarser next time.',
  stall:
    'A stall. Do not pour onto a standing level: stir once, or lift the paper a little to let air out. Coarser next time.',
  early: 'Early. Pour slower from here, so that the water stays longer; finer next time.',
  rush: 'A rush: the water runs through. Pour slower and in smaller parts from here; finer next time.',
};

/** When the brew will drain as it is going, when to worry, and what to do while something can still be done. */
export function DrainWatch({
  plan,
  drain,
  elapsedS,
}: {
  plan: BrewPlan;
  drain: DrainForecast | null;
  elapsedS: number;
}) {
  const expected = drain?.asSeen ?? null;
  // By the lot, not by what was seen: a stall that is coming is no reason to worry later.
  const worryS = worryAtS({
    drawdownS: plan.drawdownS,
    ...(drain ? { forecastHighS: drain.asLot.high } : {}),
  });
  const outlook = drainOutlook({
    plannedS: plan.drawdownS,
    expectedS: expected?.value ?? plan.drawdownS,
    elapsedS,
  });
  return (
    <div>
      <p className="flex flex-wrap gap-x-6 text-body">
        <span>
          {plan.lifts ? 'would drain' : 'drains'} about{' '}
          <span className="reading font-semibold text-time">
            {expected ? formatDuration(Math.round(expected.value)) : '–'}
          </span>{' '}
          {expected && (
            <span className="reading text-quiet">
              ({formatDuration(Math.round(expected.low))} to {formatDuration(Math.round(expected.high))})
            </span>
          )}
        </span>
        <span className="text-quiet">
          plan <span className="reading">{formatDuration(plan.drawdownS)}</span>, worry from{' '}
          <span className="reading">{formatDuration(worryS)}</span>
        </span>
      </p>
      {outlook !== 'on-plan' && <Notice tone="alarm">{ADVICE[outlook]}</Notice>}
    </div>
  );
}
