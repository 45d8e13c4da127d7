import type { Pour } from './plan.js';

/** When the water of one pour reaches the bed under a regulator, s on the brew clock. */
export interface Fed {
  startS: number;
  endS: number;
}

/**
 * What a flow regulator on top makes of the pours: each waits until the one before it is through, then passes no
 * faster than the regulator lets it.
 *
 * @param pours - in order of time, each with water and a flow
 * @param regulatorGps - most that it lets through, g/s, above 0
 */
export function throughRegulator(
  pours: readonly Pick<Pour, 'startS' | 'amountG' | 'flowGps'>[],
  regulatorGps: number,
): Fed[] {
  let freeS = 0;
  return pours.map(({ startS: pouredFromS, amountG, flowGps }) => {
    const startS = Math.max(pouredFromS, freeS);
    const endS = Math.max(pouredFromS + amountG / flowGps, startS + amountG / regulatorGps);
    freeS = endS;
    return { startS, endS };
  });
}
