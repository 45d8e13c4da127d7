import type { BrewSetup } from './setup.js';
import { POOLS, type BrewState } from './state.js';

/** Share of the bed whose solubles the water does not reach: channelled past, or still clumped. */
export function unreachedShare({ channels }: BrewSetup, { clumped }: Pick<BrewState, 'clumped'>): number {
  return Math.min(1, channels + clumped);
}

/**
 * Rate at which each pool of one class gives its solubles to the water around it, 1/s, into `rates`.
 *
 * @param filling - how full the grains are, 0 to 1
 */
export function classRates(
  rates: Float64Array,
  { model, particles, input }: BrewSetup,
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
  const common = input.lot.rate * warmth * filling;
  rates[0] =
    model.fastRatePerS * (model.fastFactors[kind] ?? 0) * (1 + model.fastAgitationGain * agitation) * common;
  const diffusion = (model.diffusionFactors[kind] ?? 0) * common;
  for (let pool = 1; pool < POOLS; pool++) {
    rates[pool] = (particles.poolRatesPerS[pool - 1] ?? 0) * diffusion;
  }
}
