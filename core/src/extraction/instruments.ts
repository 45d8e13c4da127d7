/**
 * What the instruments of a filter bench are good to, as standard uncertainties (common practice:
 * refractometer about 0.03 % TDS; a beverage weighed in its server to about 0.5 g, drops and steam
 * included; a dose weighed to 0.1 g).
 */
export const BENCH_INSTRUMENTS = { tdsPercent: 0.03, beverageG: 0.5, doseG: 0.1 } as const;

/** Fewest readings whose spread says anything (common practice). */
export const FEWEST_READINGS = 3;

/**
 * How far two readings of one sample on one refractometer scatter, as a standard deviation, % TDS; and two samples of one
 * cup, stirred and cooled alike (common practice: the second digit is about one off).
 */
export const REPEATABILITY_PERCENT = 0.015;
export const SAMPLE_PERCENT = 0.01;

/** Spread above which readings of one sample disagree by more than the instrument explains, % TDS. */
export const WIDE_SPREAD_PERCENT = 2 * BENCH_INSTRUMENTS.tdsPercent;
