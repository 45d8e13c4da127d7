import type { BrewConstants } from './constants.js';
import type { ModelPour } from './types.js';

/** Water reaching the bed evenly over a while. */
export interface Inflow {
  startS: number;
  endS: number;
  kgPerS: number;
  /** Temperature at which it leaves the kettle, C. */
  kettleC: number;
  /** Height from which it falls on the bed, m. */
  fallM: number;
}

type Poured = Pick<ModelPour, 'amountG' | 'flowGps'>;

/** Pours of no mass or no flow are none. */
const isWater = ({ amountG, flowGps }: Poured) => amountG > 0 && flowGps > 0;

/**
 * The water as it reaches the bed, in order of time: the pours, or what a regulator on top makes of them by
 * holding back what is more than it lets through.
 */
export function inflowsOf(
  {
    pours,
    kettleC,
    regulatorGps,
  }: { pours: readonly ModelPour[]; kettleC: number; regulatorGps?: number | undefined },
  model: BrewConstants,
): Inflow[] {
  const poured = pours
    .filter(isWater)
    .map((pour) => ({
      startS: pour.startS,
      endS: pour.startS + pour.amountG / pour.flowGps,
      kgPerS: pour.flowGps / 1000,
      kettleC: pour.kettleC ?? kettleC,
      fallM: pour.fallM ?? model.fallM,
    }))
    .sort((a, b) => a.startS - b.startS);
  if (regulatorGps === undefined) return poured;
  return regulated(poured, regulatorGps / 1000).map((inflow) => ({ ...inflow, fallM: model.regulatorFallM }));
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

/**
 * Share of the bed that goes without water: what the pours miss. Each misses another part of it, so that the more
 * pours share the water, the more evenly it is spread: misses average out with the root of their number (ass.).
 */
export function unevenShare(
  { pours, regulatorGps }: { pours: readonly ModelPour[]; regulatorGps?: number | undefined },
  { unevenBy }: BrewConstants,
): number {
  if (regulatorGps !== undefined) return 0;
  const water = pours.filter(isWater);
  const waterG = water.reduce((sum, { amountG }) => sum + amountG, 0);
  return Math.sqrt(
    water.reduce(
      (sum, { amountG, pattern = 'spiral' }) => sum + ((amountG / waterG) * unevenBy[pattern]) ** 2,
      0,
    ),
  );
}
