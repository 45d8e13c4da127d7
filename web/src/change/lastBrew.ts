import { DRAIN_BY_EYE_SD_S, measuredOf, type LastBrew } from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';

/** What was measured of a brew, as a proposal asks for it. */
export function lastBrewOf(brew: BrewListItem): LastBrew {
  const { tdsPercent, yieldPercent, drawdownS } = measuredOf(brew);
  return {
    tdsPercent: tdsPercent?.value ?? null,
    yieldPercent: yieldPercent?.value ?? null,
    drawdownS: drawdownS?.value ?? null,
    uncertainty: {
      tdsPercent: tdsPercent?.sd ?? 0,
      yieldPercent: yieldPercent?.sd ?? 0,
      drawdownS: DRAIN_BY_EYE_SD_S,
    },
  };
}
