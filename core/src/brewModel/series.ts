import type { BrewMoment, BrewSeries } from './types.js';

/** A series that nothing was written to yet. */
export function emptySeries(): { [F in keyof BrewSeries]: number[] } {
  return {
    atS: [],
    levelM: [],
    slurryC: [],
    outflowGps: [],
    aboveBedG: [],
    beverageG: [],
    tdsPercent: [],
    streamTdsPercent: [],
    yieldPercent: [],
  };
}

/** A series as its moments, for a chart or a table; kept as columns, since a brew writes hundreds of them. */
export function momentsOf(series: BrewSeries): BrewMoment[] {
  const fields = Object.keys(series) as (keyof BrewMoment)[];
  return series.atS.map(
    (_, index) =>
      Object.fromEntries(fields.map((field) => [field, series[field][index] ?? 0])) as unknown as BrewMoment,
  );
}
