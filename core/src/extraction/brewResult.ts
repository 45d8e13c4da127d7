import { extractionYieldPercent } from './extractionYield.js';
import { BENCH_INSTRUMENTS } from './instruments.js';
import { summariseReadings, type ReadingSummary } from './readings.js';
import { ASSUMED_RETAINED, beverageFromRetainedG, retainedWaterGPerG } from './retainedWater.js';
import { yieldUncertainty } from './yieldUncertainty.js';

/** What is known of a finished brew. Masses in g, readings in % by mass. */
export interface BrewMeasurement {
  doseG: number;
  /** Water poured onto the bed, without bypass. */
  waterG: number;
  /** The beverage as weighed, before bypass; `null` when nobody weighed it. */
  beverageG: number | null;
  readingsPercent: readonly number[];
}

export interface MeasuredYield {
  basis: 'weighed';
  yieldPercent: number;
  uncertaintyPoints: number;
  retainedGPerG: number;
}

/** A yield without a weighed beverage: never a measurement, always with the band of its assumption. */
export interface AssumedYield {
  basis: 'assumed';
  yieldPercent: number;
  lowPercent: number;
  highPercent: number;
  assumedRetainedGPerG: number;
}

export interface BrewResult {
  strength: ReadingSummary;
  yield: MeasuredYield | AssumedYield;
}

/**
 * Strength and yield of a brew, honest about where each came from.
 *
 * @returns `null` until there is at least one reading
 * @throws RangeError when the dose is not above zero
 */
export function brewResult(brew: BrewMeasurement): BrewResult | null {
  const strength = summariseReadings(brew.readingsPercent);
  if (strength === null) return null;
  return {
    strength,
    yield:
      brew.beverageG === null ? assumedYield(brew, strength) : measuredYield(brew, brew.beverageG, strength),
  };
}

function measuredYield(brew: BrewMeasurement, beverageG: number, strength: ReadingSummary): MeasuredYield {
  const measured = { tdsPercent: strength.meanPercent, beverageG, doseG: brew.doseG };
  return {
    basis: 'weighed',
    yieldPercent: extractionYieldPercent(measured),
    uncertaintyPoints: yieldUncertainty({
      measured,
      standard: { ...BENCH_INSTRUMENTS, tdsPercent: strength.uncertaintyPercent },
    }),
    retainedGPerG: retainedWaterGPerG({ waterG: brew.waterG, beverageG, doseG: brew.doseG }),
  };
}

function assumedYield(brew: BrewMeasurement, strength: ReadingSummary): AssumedYield {
  const at = (retainedGPerG: number) =>
    extractionYieldPercent({
      tdsPercent: strength.meanPercent,
      beverageG: beverageFromRetainedG({ waterG: brew.waterG, doseG: brew.doseG, retainedGPerG }),
      doseG: brew.doseG,
    });
  return {
    basis: 'assumed',
    yieldPercent: at(ASSUMED_RETAINED.midGPerG),
    lowPercent: at(ASSUMED_RETAINED.highGPerG),
    highPercent: at(ASSUMED_RETAINED.lowGPerG),
    assumedRetainedGPerG: ASSUMED_RETAINED.midGPerG,
  };
}
