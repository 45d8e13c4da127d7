/** Specific heat of water, J/(kg K), near the temperatures of a brew. Textbook value (from memory). */
const WATER_J_PER_KG_K = 4190;
/** Specific heat of dry coffee, J/(kg K): between 1500 and 2100 in the literature (from memory). */
const COFFEE_J_PER_KG_K = 1800;

/**
 * Temperature of the slurry when kettle water meets dry coffee and a brewer, no heat lost meanwhile, C.
 *
 * @param brewerJPerK - heat capacity of what the water warms along with it, J/K; 0 leaves the brewer out
 * @example mixingTemperatureC({ waterG: 100, kettleC: 94, doseG: 15, coffeeC: 22 }) // 89.6
 *
 * Source: energy balance, sum of m c (T - Tmix) = 0.
 */
export function mixingTemperatureC({
  waterG,
  kettleC,
  doseG,
  coffeeC,
  brewerJPerK = 0,
  brewerC = coffeeC,
  coffeeJPerKgK = COFFEE_J_PER_KG_K,
}: {
  waterG: number;
  kettleC: number;
  doseG: number;
  coffeeC: number;
  brewerJPerK?: number;
  brewerC?: number;
  coffeeJPerKgK?: number;
}): number {
  const parts = [
    { heatJPerK: (waterG / 1000) * WATER_J_PER_KG_K, temperatureC: kettleC },
    { heatJPerK: (doseG / 1000) * coffeeJPerKgK, temperatureC: coffeeC },
    { heatJPerK: brewerJPerK, temperatureC: brewerC },
  ];
  const totalJPerK = parts.reduce((sum, { heatJPerK }) => sum + heatJPerK, 0);
  return parts.reduce((sum, { heatJPerK, temperatureC }) => sum + heatJPerK * temperatureC, 0) / totalJPerK;
}
