import { throughRegulator } from '../plan/regulator.js';
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

/** Slower than a drop in a minute is no pour, g/s. */
const LEAST_FLOW_GPS = 0.001;

/** Pours of no mass or no flow are none. */
export const isWater = ({ amountG, flowGps }: Poured) => amountG > 0 && flowGps >= LEAST_FLOW_GPS;

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
  const water = pours.filter(isWater).sort((a, b) => a.startS - b.startS);
  const fed = regulatorGps === undefined ? null : throughRegulator(water, regulatorGps);
  return water.map((pour, index) => {
    const { startS, endS } = fed?.[index] ?? {
      startS: pour.startS,
      endS: pour.startS + pour.amountG / pour.flowGps,
    };
    return {
      startS,
      endS,
      kgPerS: pour.amountG / 1000 / (endS - startS),
      kettleC: pour.kettleC ?? kettleC,
      fallM: fed ? model.regulatorFallM : (pour.fallM ?? model.fallM),
    };
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
