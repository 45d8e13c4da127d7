import { benchSteps, DRAIN_BY_EYE_SD_S, type LastBrew } from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';

/** What was measured of a brew; a yield from an assumed beverage was not, nor the drain of a brewer lifted off. */
export function lastBrewOf({ result, steps, plan }: BrewListItem): LastBrew {
  const extraction = result?.yield;
  const drained = steps.find(
    ({ stepIndex, skipped }) => !skipped && stepIndex === benchSteps(plan).length - 1,
  );
  return {
    tdsPercent: result?.strength.meanPercent ?? null,
    yieldPercent: extraction?.basis === 'weighed' ? extraction.yieldPercent : null,
    drawdownS: plan.lifts ? null : (drained?.atS ?? null),
    uncertainty: {
      tdsPercent: result?.strength.uncertaintyPercent ?? 0,
      yieldPercent: extraction?.basis === 'weighed' ? extraction.uncertaintyPoints : 0,
      drawdownS: DRAIN_BY_EYE_SD_S,
    },
  };
}
