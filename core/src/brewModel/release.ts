import type { BrewConstants } from './constants.js';
import type { Particles } from './particles.js';
import type { BrewSetup } from './setup.js';
import { CLASSES, POOLS, type BrewState } from './state.js';

/** Share of the bed whose solubles the water does not reach: channelled past, not poured on, or still clumped. */
export function unreachedShare(
  { channels, uneven }: BrewSetup,
  { clumped }: Pick<BrewState, 'clumped'>,
): number {
  return Math.min(1, channels + uneven + clumped);
}

/** Rates of the pools of every class at the reference temperature, in still water and full grains, 1/s. */
export function restingRates(
  { poolRatesPerS }: Particles,
  lotRate: number,
  model: BrewConstants,
): Float64Array[] {
  return Array.from({ length: CLASSES }, (_, kind) =>
    Float64Array.from({ length: POOLS }, (_, pool) =>
      pool === 0
        ? lotRate * model.fastRatePerS * (model.fastFactors[kind] ?? 0)
        : lotRate * (model.diffusionFactors[kind] ?? 0) * (poolRatesPerS[pool - 1] ?? 0),
    ),
  );
}

/**
 * Rate at which each pool of one class gives its solubles to the water around it, 1/s, into `rates`.
 *
 * @param filling - how full the grains are, 0 to 1
 */
export function classRates(
  rates: Float64Array,
  { model, restingRatesPerS }: BrewSetup,
  {
    kind,
    slurryC,
    agitation,
    filling,
  }: { kind: number; slurryC: number; agitation: number; filling: number },
): void {
  // Arrhenius, about the temperature at which the rates are stated.
  const warmth = Math.exp(
    (-(model.activationJPerMol[kind] ?? 0) / model.gasConstantJPerMolK) *
      (1 / (slurryC + 273.15) - 1 / model.activationReferenceK),
  );
  const common = warmth * filling;
  const resting = restingRatesPerS[kind];
  if (!resting) return;
  rates[0] = (resting[0] ?? 0) * (1 + model.fastAgitationGain * agitation) * common;
  for (let pool = 1; pool < POOLS; pool++) rates[pool] = (resting[pool] ?? 0) * common;
}
