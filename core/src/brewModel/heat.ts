import type { Flows } from './flows.js';
import type { BrewSetup } from './setup.js';
import type { BrewState } from './state.js';

/** How fast slurry and brewer warm, K/s, and the rate at which the slurry nears its balance, 1/s. */
export interface HeatRates {
  slurryKPerS: number;
  relaxationPerS: number;
  brewerKPerS: number;
  /** Where the brewer is heading: between slurry and room, C. */
  brewerTowardsC: number;
}

/** Heat from the stream, to the wall, to the air and with the steam. Latent heat linear in temperature (mem.). */
export function heatRates(
  state: BrewState,
  { input, model, doseKg }: BrewSetup,
  flows: Flows,
  { inflowKgPerS, inflowC }: { inflowKgPerS: number; inflowC: number },
): HeatRates {
  const { brewer, ambientC } = input;
  const waterKg = state.aboveKg + state.poresKg + state.grainsKg;
  const heatJPerK = waterKg * model.waterJPerKgK + doseKg * model.coffeeJPerKgK;
  const wallWPerK = (model.wallWPerM2K * flows.wettedWallM2 * waterKg) / (waterKg + 0.005);
  const toWallW = wallWPerK * (state.slurryC - state.brewerC);
  const airWPerK = model.airWPerM2K * flows.surfaceM2 * flows.coverage;
  const inflowWPerK = inflowKgPerS * model.waterJPerKgK;
  const latentJPerKg = 2.501e6 - 2381 * state.slurryC;
  const outsideM2 =
    Math.PI *
    (2 * brewer.bottomRadiusM + brewer.heightM * brewer.wallSlope) *
    brewer.heightM *
    Math.sqrt(1 + brewer.wallSlope ** 2);
  const roomWPerK = model.brewerToRoomWPerM2K * outsideM2;
  return {
    slurryKPerS:
      (inflowWPerK * (inflowC - state.slurryC) -
        toWallW -
        flows.evaporation * latentJPerKg -
        airWPerK * (state.slurryC - ambientC)) /
      heatJPerK,
    // Exact mixing of the inflow: an explicit step overshot far above boiling at small doses.
    relaxationPerS: (inflowWPerK + wallWPerK + airWPerK) / heatJPerK,
    brewerKPerS: (toWallW - roomWPerK * (state.brewerC - ambientC)) / brewer.heatCapacityJPerK,
    brewerTowardsC: (wallWPerK * state.slurryC + roomWPerK * ambientC) / (wallWPerK + roomWPerK),
  };
}
