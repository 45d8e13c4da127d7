import {
  drainOutlook,
  drainToCome,
  endWords,
  formatDuration,
  stalledAfterS,
  type BrewPlan,
  type DrainOutlook,
} from '@vendu/core';
import type { DrainForecast } from '../board/forecaster';
import { Notice } from '../ui/Notice';

/** What a drain off its plan asks for: while there is water to pour, and once it is all in. */
const ADVICE: Record<Exclude<DrainOutlook, 'on-plan'>, { pouring: string; poured: string }> = {
  late: {
    pouring: 'Late. Pour low and gently from here, no more swirls; coarser next time.',
    poured: 'Late. No more swirls; let it run, or lift the brewer (L). Coarser next time.',
  },
  stall: {
    pouring:
      'A stall. Do not pour onto a standing level: stir once, or lift the paper a little to let air out. Coarser next time.',
    poured:
      'A stall. Stir once, or lift the paper a little to let air out; else lift the brewer (L) and read what is in the cup. Coarser next time.',
  },
  early: {
    pouring: 'Early. Pour slower from here so the water stays longer; finer next time.',
    poured: 'Early. All the water is in, nothing slows it now; finer next time.',
  },
  rush: {
    pouring: 'Running through. Pour slower and in smaller pours from here; finer next time.',
    poured: 'It ran through. Read and taste it anyway; finer next time.',
  },
};

/** When the brew will drain as it is going, from when it has stalled, and what to do while something can still be done. */
export function DrainWatch({
  plan,
  drain,
  elapsedS,
  poursLeft,
}: {
  plan: BrewPlan;
  drain: DrainForecast | null;
  elapsedS: number;
  /** Some water is still to be poured. */
  poursLeft: boolean;
}) {
  // The bed has not drained, or it would have been marked: what is past is no forecast.
  const expected = drain && drainToCome(drain.asSeen, elapsedS);
  // By the lot, not by what was seen: a stall that is coming moves its own mark no further out.
  const stalledS = stalledAfterS({
    drawdownS: plan.drawdownS,
    ...(drain ? { forecastHighS: drainToCome(drain.asLot, 0).highS } : {}),
  });
  const outlook = drainOutlook({ plannedS: plan.drawdownS, belief: drain?.asSeen ?? null, elapsedS });
  return (
    <div>
      <p className="flex flex-wrap gap-x-6 text-body">
        <span>
          {plan.lifts ? 'would drain' : 'drains'} about{' '}
          <span className="reading font-semibold text-time">
            {expected ? formatDuration(Math.round(expected.valueS)) : '–'}
          </span>{' '}
          {expected && (
            <span className="reading text-quiet">
              ({formatDuration(Math.round(expected.lowS))} to {formatDuration(Math.round(expected.highS))})
            </span>
          )}
        </span>
        <span className="text-quiet">
          plan <span className="reading">{endWords(plan)}</span>, stalled after{' '}
          <span className="reading">{formatDuration(stalledS)}</span>
        </span>
      </p>
      {outlook !== 'on-plan' && (
        <Notice tone="alarm">{ADVICE[outlook][poursLeft ? 'pouring' : 'poured']}</Notice>
      )}
    </div>
  );
}
