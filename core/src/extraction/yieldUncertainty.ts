import { extractionYieldPercent, type PercolationMeasurement } from './extractionYield.js';

/** Standard uncertainties of what was weighed and read, in the unit of each quantity. */
export interface MeasurementUncertainty {
  tdsPercent: number;
  beverageG: number;
  doseG: number;
}

/**
 * Standard uncertainty of the extraction yield, in yield points (% of dose).
 *
 * First order, inputs independent: with EY = T B / D each relative uncertainty enters once,
 * u(EY) = EY sqrt((uT/T)^2 + (uB/B)^2 + (uD/D)^2), written here by partial derivatives so that a
 * reading of zero stays defined.
 *
 * Source: JCGM 100:2008 (GUM), 5.1.2.
 */
export function yieldUncertainty({
  measured,
  standard,
}: {
  measured: PercolationMeasurement;
  standard: MeasurementUncertainty;
}): number {
  const { tdsPercent, beverageG, doseG } = measured;
  const yieldPercent = extractionYieldPercent(measured);
  return Math.hypot(
    (beverageG / doseG) * standard.tdsPercent,
    (tdsPercent / doseG) * standard.beverageG,
    (yieldPercent / doseG) * standard.doseG,
  );
}
