/**
 * What the instruments of a filter bench are good to, as standard uncertainties (common practice:
 * refractometer about 0.03 % TDS; a beverage weighed in its server to about 0.5 g, drops and steam
 * included; a dose weighed to 0.1 g).
 */
export const BENCH_INSTRUMENTS = { tdsPercent: 0.03, beverageG: 0.5, doseG: 0.1 } as const;

/** Fewest readings whose spread says anything (common practice). */
export const FEWEST_READINGS = 3;
