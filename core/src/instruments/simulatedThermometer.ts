import { roundToTenth } from '../plan/plan.js';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { valueOf } from '../result.js';
import { kettleAfterC } from '../water/kettle.js';

export interface KettleFaults {
  /** How far the probe is off, C, and the scatter of a reading (assumed: a cheap probe). */
  offC: number;
  noiseC: number;
}

const USUAL_PROBE: KettleFaults = { offC: 0.3, noiseC: 0.1 };
/** The heater goes on this far below what was set, C (assumed). */
const HYSTERESIS_C = 0.5;
/** Water in it, g, and what the heater adds, C a second: 1.5 kW (assumed; computed: 1500 / (0.8 x 4190)). */
const WATER_G = 800;
const HEATS_C_PER_S = 0.45;
/** A probe follows the water this slowly, s (assumed). */
const LAG_S = 4;
const STEP_S = 0.5;

/**
 * A kettle on a thermostat with a thermometer in it: cools while it is off its base for a pour, is heated when it is
 * back. A stand-in to try the bench without hardware; the same seed gives the same readings.
 */
export function simulatedThermometer({
  setC,
  roomC,
  faults = USUAL_PROBE,
  seed,
}: {
  setC: number;
  roomC: number;
  faults?: KettleFaults;
  seed: number;
}) {
  const random = seededRandom(seed);
  let nowS = 0;
  let waterC = setC;
  let probeC = setC;
  let isHeating = false;
  let backAtS = 0;
  function pass(toS: number): void {
    while (nowS < toS) {
      const stepS = Math.min(STEP_S, toS - nowS);
      const isOnBase = nowS >= backAtS;
      if (waterC < setC - HYSTERESIS_C) isHeating = true;
      if (waterC >= setC) isHeating = false;
      waterC = valueOf(
        kettleAfterC({ waterG: WATER_G, startC: waterC, ambientC: roomC, seconds: stepS, lid: 'open' }),
      );
      if (isOnBase && isHeating) waterC = Math.min(setC, waterC + HEATS_C_PER_S * stepS);
      probeC += ((waterC - probeC) * stepS) / (LAG_S + stepS);
      nowS += stepS;
    }
  }
  return {
    /** Off its base for a pour, and back after it. */
    lift({ atS, forS }: { atS: number; forS: number }): void {
      pass(atS);
      backAtS = atS + forS;
    },
    read(atS: number): number {
      pass(atS);
      return roundToTenth(normalDraw(random, { mean: probeC + faults.offC, sd: faults.noiseC }));
    },
  };
}
