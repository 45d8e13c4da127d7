import { roundToTenth } from '../plan/plan.js';
type MeasurementFaultReason = 'beverage-heavier-than-water' | 'reading-out-of-range';

/** A weighed or read figure that cannot be right; `allowed` is the range it should be in. */
export interface MeasurementFault {
  reason: MeasurementFaultReason;
  message: string;
  allowed: string;
}

/** Strengths a whole filter brew can have, % TDS. Common practice serves 1.20-1.45 %; the rest is slack. */
export const READING_RANGE = { lowPercent: 0.2, highPercent: 3 } as const;

/** What the sample on a prism can be, C: between ice and steam. */
export const SAMPLE_RANGE_C = { low: 0, high: 100 } as const;

/**
 * Checks one refractometer reading. A slipped decimal point is the usual cause, so the message offers
 * the figure it was probably meant to be.
 *
 * @returns `null` for a possible reading
 */
export function readingFault({ tdsPercent }: { tdsPercent: number }): MeasurementFault | null {
  const { lowPercent, highPercent } = READING_RANGE;
  if (tdsPercent >= lowPercent && tdsPercent <= highPercent) return null;
  const slipped = [tdsPercent / 10, tdsPercent / 100].find((value) => value >= 0.8 && value <= 2);
  return {
    reason: 'reading-out-of-range',
    message:
      `A reading of ${tdsPercent} % is outside ${lowPercent} to ${highPercent} % TDS` +
      (slipped === undefined ? '.' : `; if ${slipped.toFixed(2)} was meant, check the decimal point.`),
    allowed: `${lowPercent} to ${highPercent} %`,
  };
}

/**
 * Checks a weighed beverage against the water poured: the bed always keeps some.
 *
 * @param waterG - poured through the bed
 * @param bypassG - added to the finished beverage: it is in it whole
 * @returns `null` for a possible beverage
 */
export function beverageFault({
  beverageG,
  waterG,
  bypassG = 0,
}: {
  beverageG: number;
  waterG: number;
  bypassG?: number;
}): MeasurementFault | null {
  const allG = roundToTenth(waterG + bypassG);
  if (beverageG < allG) return null;
  const water = bypassG === 0 ? `the ${waterG} g poured` : `the ${waterG} g poured and ${bypassG} g added`;
  return {
    reason: 'beverage-heavier-than-water',
    message: `${beverageG} g is not lighter than ${water}; tare the server, and discard the rinse water before weighing.`,
    allowed: `below ${allG} g`,
  };
}
