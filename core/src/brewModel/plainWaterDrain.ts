import { firstOutOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { failure, success, type Failure, type Result } from '../result.js';
import { BREW_MODEL } from './constants.js';
import { fillOf } from './hardware.js';
import { densityKgM3, viscosityPaS } from './properties.js';
import type { BrewerGeometry } from './types.js';

const RANGES = {
  waterG: { low: 20, high: 2000, unit: 'g' },
  leftG: { low: 1, high: 1000, unit: 'g' },
  waterC: { low: 1, high: 100, unit: '°C' },
  paperPerM: { low: 1e6, high: 1e12, unit: '1/m' },
} satisfies Record<string, Range>;

/** Levels between full and nearly empty at which the flow is evaluated; a hundred is within 0.1 % of many more. */
const LEVELS = 100;

/**
 * How long plain water takes to drain through brewer and wet paper without coffee, s: the test that tells
 * the resistance of a paper apart from that of a bed.
 *
 * Darcy through the paper over the base and the draining share of the wall, each at the depth of the water
 * above it, then the outlet as a sharp hole; the level falls through evenly spaced volumes.
 *
 * @param waterG - poured at once
 * @param leftG - the clock stops when this much still stands in the brewer
 */
export function plainWaterDrainS({
  brewer,
  paperPerM,
  waterG,
  leftG,
  waterC,
}: {
  brewer: BrewerGeometry;
  paperPerM: number;
  waterG: number;
  leftG: number;
  waterC: number;
}): Result<number, OutOfRange | Failure<'nothing-drains'>> {
  const fault = firstOutOfRange({ waterG, leftG, waterC, paperPerM }, RANGES);
  if (fault) return fault;
  if (leftG >= waterG)
    return failure('nothing-drains', `${leftG} g left of ${waterG} g means nothing drained.`);
  const density = densityKgM3(waterC);
  const drop = (waterG - leftG) / 1000 / density / LEVELS;
  let seconds = 0;
  for (let level = 0; level < LEVELS; level++) {
    const volumeM3 = waterG / 1000 / density - (level + 0.5) * drop;
    seconds += drop / plainFlowM3PerS({ brewer, paperPerM, volumeM3, waterC });
  }
  return success(seconds);
}

function plainFlowM3PerS({
  brewer,
  paperPerM,
  volumeM3,
  waterC,
}: {
  brewer: BrewerGeometry;
  paperPerM: number;
  volumeM3: number;
  waterC: number;
}): number {
  const { bottomRadiusM, wallSlope, drainShare, outletAreaM2 } = brewer;
  const { gravityMPerS2, dischargeCoefficient } = BREW_MODEL;
  const density = densityKgM3(waterC);
  const { radiusM, heightM } = fillOf(brewer, volumeM3);
  const baseM2 = brewer.bottomShare * Math.PI * bottomRadiusM ** 2;
  const wallM2 = drainShare * Math.PI * (bottomRadiusM + radiusM) * heightM * Math.sqrt(1 + wallSlope ** 2);
  // Depth of water above the wall, averaged over it.
  const wallDepthM = heightM * (1 - (bottomRadiusM + 2 * radiusM) / (3 * (bottomRadiusM + radiusM)));
  const conductance = (density * gravityMPerS2) / (viscosityPaS(waterC) * paperPerM);
  const free = conductance * (baseM2 * heightM + wallM2 * wallDepthM);
  const drainM2 = baseM2 + wallM2;
  const orifice =
    (density * (drainM2 / (viscosityPaS(waterC) * paperPerM))) /
    (2 * dischargeCoefficient ** 2 * outletAreaM2 ** 2);
  return (free * 2) / (1 + Math.sqrt(1 + 4 * orifice * free));
}
