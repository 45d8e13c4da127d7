import type { ModelPour } from './types.js';

/** Water reaching the bed evenly over a while. */
export interface Inflow {
  startS: number;
  endS: number;
  kgPerS: number;
  /** Temperature at which it leaves the kettle, C. */
  kettleC: number;
}

/**
 * The water as it reaches the bed, in order of time: the pours, or what a regulator on top makes of them by
 * holding back what is more than it lets through. Pours of no mass or no flow are none.
 */
export function inflowsOf({
  pours,
  kettleC,
  regulatorGps,
}: {
  pours: readonly ModelPour[];
  kettleC: number;
  regulatorGps?: number | undefined;
}): Inflow[] {
  const poured = pours
    .filter(({ amountG, flowGps }) => amountG > 0 && flowGps > 0)
    .map((pour) => ({
      startS: pour.startS,
      endS: pour.startS + pour.amountG / pour.flowGps,
      kgPerS: pour.flowGps / 1000,
      kettleC: pour.kettleC ?? kettleC,
    }))
    .sort((a, b) => a.startS - b.startS);
  return regulatorGps === undefined ? poured : regulated(poured, regulatorGps / 1000);
}

/** Each pour waits until the regulator has let the one before it through, then passes no faster than it may. */
function regulated(poured: readonly Inflow[], mostKgPerS: number): Inflow[] {
  let freeS = 0;
  return poured.map((pour) => {
    const amountKg = (pour.endS - pour.startS) * pour.kgPerS;
    const startS = Math.max(pour.startS, freeS);
    const endS = Math.max(pour.endS, startS + amountKg / mostKgPerS);
    freeS = endS;
    return { ...pour, startS, endS, kgPerS: amountKg / (endS - startS) };
  });
}
