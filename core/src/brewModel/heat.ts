import type { Flows } from './flows.js';
import type { BrewSetup } from './setup.js';
import type { WaterState } from './state.js';

/** How fast slurry and brewer warm, K/s, and the rate at which each nears its balance, 1/s. */
export interface HeatRates {
  slurryKPerS: number;
  relaxationPerS: number;
  brewerKPerS: number;
  brewerRelaxationPerS: number;
}

export function noHeat(): HeatRates {
  return { slurryKPerS: 0, relaxationPerS: 0, brewerKPerS: 0, brewerRelaxationPerS: 0 };
}

/**
 * Heat from the stream, to the wall, to the air and with the steam. Latent heat linear in temperature (mem.).
 *
 * @param into - filled and returned, as by `flowsOf`
 */
export function heatRates(
  state: WaterState,
  { input, model, doseKg, brewer: figures }: BrewSetup,
  flows: Flows,
  { inflowKgPerS, inflowC }: { inflowKgPerS: number; inflowC: number },
  into: HeatRates,
): HeatRates {
  const { brewer, ambientC } = input;
  const waterKg = state.aboveKg + state.poresKg + state.grainsKg;
  const heatJPerK = waterKg * model.waterJPerKgK + doseKg * model.coffeeJPerKgK;
  const wallWPerK = (model.wallWPerM2K * flows.wettedWallM2 * waterKg) / (waterKg + 0.005);
  const toWallW = wallWPerK * (state.slurryC - state.brewerC);
  const airWPerK = model.airWPerM2K * flows.surfaceM2 * flows.coverage;
  const inflowWPerK = inflowKgPerS * model.waterJPerKgK;
  const latentJPerKg = 2.501e6 - 2381 * state.slurryC;
  const roomWPerK = model.brewerToRoomWPerM2K * figures.outsideM2;
  into.slurryKPerS =
    (inflowWPerK * (inflowC - state.slurryC) -
      toWallW -
      flows.evaporation * latentJPerKg -
      airWPerK * (state.slurryC - ambientC)) /
    heatJPerK;
  // Exact mixing of the inflow: an explicit step overshot far above boiling at small doses.
  into.relaxationPerS = (inflowWPerK + wallWPerK + airWPerK) / heatJPerK;
  into.brewerKPerS = (toWallW - roomWPerK * (state.brewerC - ambientC)) / brewer.heatCapacityJPerK;
  into.brewerRelaxationPerS = (wallWPerK + roomWPerK) / brewer.heatCapacityJPerK;
  return into;
}
