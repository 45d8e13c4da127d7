import { densityKgM3, vapourPressurePa } from '../brewModel/properties.js';
import { checked } from '../input/checked.js';
import { mixingTemperatureC } from './mixing.js';
import { airPressurePa } from './standardAtmosphere.js';

const WATER_J_PER_KG_K = 4190;
const GAS_J_PER_MOL_K = 8.314_462_618;
const WATER_KG_PER_MOL = 0.018_015;
/** Heat from the kettle's outside to the room, natural convection and radiation, W/(m2 K) (textbook, mem.). */
const OUTSIDE_W_PER_M2K = 9;
/** Heat from an open surface to the air, W/(m2 K), from which the mass follows by analogy (textbook, mem.). */
const SURFACE_W_PER_M2K = 5;
/** Heat capacity of air by volume, with the Lewis number of water vapour to the two thirds, J/(m3 K). */
const AIR_J_PER_M3K = 1007 * 0.9;
/** Under a shut lid only this share of the steam gets away, by spout and rim (assumed). */
const LEAK_SHARE = 0.1;
const STEP_S = 1;

/**
 * Temperature of a kettle taken off its base after a while. Steam from the open surface takes most of it; a
 * lid keeps nearly all of that in.
 *
 * Source: natural convection and its analogy of heat and mass with Stefan flow (textbook, mem.); held to what
 * practice sees, 94 to 90-91 C in a minute or two with the lid open.
 *
 * @param surfaceCm2 - open water surface
 * @param outsideCm2 - outside of the kettle that warms the room
 */
export const kettleAfterC = checked(
  {
    waterG: { low: 50, high: 10_000, unit: 'g' },
    startC: { low: 20, high: 100, unit: '°C' },
    ambientC: { low: -10, high: 50, unit: '°C' },
    seconds: { low: 0, high: 7200, unit: 's' },
    elevationM: { low: -500, high: 5500, unit: 'm' },
    surfaceCm2: { low: 5, high: 2000, unit: 'cm²' },
    outsideCm2: { low: 20, high: 10_000, unit: 'cm²' },
  },
  ({
    waterG,
    startC,
    ambientC,
    seconds,
    lid,
    elevationM = 0,
    surfaceCm2 = 95,
    outsideCm2 = 500,
  }: {
    waterG: number;
    startC: number;
    ambientC: number;
    seconds: number;
    lid: 'open' | 'shut';
    elevationM?: number;
    surfaceCm2?: number;
    outsideCm2?: number;
  }): number => {
    const airPa = airPressurePa({ elevationM });
    const surfaceM2 = surfaceCm2 / 1e4;
    const heatJPerK = (waterG / 1000) * WATER_J_PER_KG_K;
    const leaving = lid === 'open' ? 1 : LEAK_SHARE;
    let temperatureC = startC;
    for (let atS = 0; atS < seconds; atS += STEP_S) {
      const lengthS = Math.min(STEP_S, seconds - atS);
      const outW = (OUTSIDE_W_PER_M2K * outsideCm2 * (temperatureC - ambientC)) / 1e4;
      const airW = leaving * SURFACE_W_PER_M2K * surfaceM2 * (temperatureC - ambientC);
      const steamW = leaving * steamKgPerS(temperatureC, airPa, surfaceM2) * (2.501e6 - 2381 * temperatureC);
      temperatureC -= (lengthS * (outW + airW + steamW)) / heatJPerK;
    }
    return temperatureC;
  },
  { optional: ['elevationM', 'surfaceCm2', 'outsideCm2'], words: { lid: ['open', 'shut'] } },
);

function steamKgPerS(temperatureC: number, airPa: number, surfaceM2: number): number {
  const vapourPa = vapourPressurePa(temperatureC);
  const share = Math.min(0.98, vapourPa / airPa);
  const stefan = share < 1e-6 ? 1 : -Math.log(1 - share) / share;
  const transferMPerS = SURFACE_W_PER_M2K / AIR_J_PER_M3K;
  return (
    (transferMPerS * stefan * vapourPa * WATER_KG_PER_MOL * surfaceM2) /
    (GAS_J_PER_MOL_K * (temperatureC + 273.15))
  );
}

/** What a stream poured from one vessel into another loses on its way, K (assumed). */
const STREAM_LOSS_K = 1.5;

/**
 * Temperature of water after it was poured into a second kettle: the stream loses some, the new kettle's metal
 * takes some. About two degrees in practice with a light, warm kettle.
 *
 * @param kettleJPerK - heat capacity of the second kettle: about 150 for thin steel
 */
export const decantedC = checked(
  {
    waterG: { low: 50, high: 10_000, unit: 'g' },
    waterC: { low: 20, high: 100, unit: '°C' },
    kettleC: { low: -10, high: 100, unit: '°C' },
    kettleJPerK: { low: 0, high: 2000, unit: 'J/K' },
  },
  ({
    waterG,
    waterC,
    kettleC,
    kettleJPerK = 150,
  }: {
    waterG: number;
    waterC: number;
    kettleC: number;
    kettleJPerK?: number;
  }): number =>
    mixingTemperatureC({
      waterG,
      kettleC: waterC - STREAM_LOSS_K,
      doseG: 0,
      coffeeC: kettleC,
      brewerJPerK: kettleJPerK,
    }),
  { optional: ['kettleJPerK'] },
);

/** Volume of water by its mass, mL, for a bottle marked in litres. */
export const waterVolumeMl = checked(
  { waterG: { low: 0, high: 100_000, unit: 'g' }, temperatureC: { low: 0, high: 100, unit: '°C' } },
  ({ waterG, temperatureC }: { waterG: number; temperatureC: number }): number =>
    (waterG / densityKgM3(temperatureC)) * 1000,
);
