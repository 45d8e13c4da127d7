import { roundToTenth } from '../plan/plan.js';
import { normalDraw, seededRandom } from '../random/seededRandom.js';

export interface KettleFaults {
  /** How far the probe is off, C, and the scatter of a reading (assumed: a cheap probe). */
  offC: number;
  noiseC: number;
}

const USUAL_PROBE: KettleFaults = { offC: 0.3, noiseC: 0.1 };
/** The heater goes on this far below what was set, C (assumed). */
const HYSTERESIS_C = 0.5;
/** What the heater adds, C a second: 1.5 kW into 0.8 kg of water (computed: 1500 / (0.8 x 4190)). */
const HEATS_C_PER_S = 0.45;
/**
 * Share of the distance to the room lost a second off its base, lid open: 94 falls to 90-91 over a minute or two
 * (common practice; computed for 90 s and a room of 21).
 */
const COOLS_PER_S = 5.5e-4;
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
      waterC -= (waterC - roomC) * COOLS_PER_S * stepS;
      if (isOnBase && isHeating) waterC += HEATS_C_PER_S * stepS;
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
