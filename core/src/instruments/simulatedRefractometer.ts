import { normalDraw, seededRandom } from '../random/seededRandom.js';

export interface RefractometerFaults {
  /** Standard deviation of a reading, % TDS: instruments are good to about 0.03 (common practice). */
  noisePercent: number;
  /** How far the zero has crept since it was set, % TDS. */
  zeroPercent: number;
  /** Error of a warm sample, % TDS per degree away from the zero's temperature (assumed). */
  perC: number;
}

export const USUAL_REFRACTOMETER: RefractometerFaults = {
  noisePercent: 0.012,
  zeroPercent: 0.02,
  perC: 0.004,
};
const RESOLUTION_PERCENT = 0.01;

/** A bench refractometer whose zero creeps and that reads warm samples wrong; zeroing takes the creep away. */
export function simulatedRefractometer({
  faults = USUAL_REFRACTOMETER,
  zeroedAtC = 22,
  seed,
}: {
  faults?: RefractometerFaults;
  zeroedAtC?: number;
  seed: number;
}) {
  const random = seededRandom(seed);
  let zeroPercent = faults.zeroPercent;
  const shown = (tdsPercent: number) => Math.round(tdsPercent / RESOLUTION_PERCENT) * RESOLUTION_PERCENT;
  return {
    /** Clean water on the prism: shows how far the zero is off and sets it. */
    zero(): number {
      const before = shown(zeroPercent + normalDraw(random, { mean: 0, sd: faults.noisePercent / 2 }));
      zeroPercent = 0;
      return before;
    },
    read({ tdsPercent, sampleC }: { tdsPercent: number; sampleC: number }): number {
      const biased = tdsPercent + zeroPercent + faults.perC * (sampleC - zeroedAtC);
      return shown(normalDraw(random, { mean: biased, sd: faults.noisePercent }));
    },
  };
}
