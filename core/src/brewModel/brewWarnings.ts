import { formatDuration } from '../quantity/duration.js';
import type { BrewSetup } from './setup.js';
import type { BrewMoment, BrewWarning } from './types.js';

/** Three quarters of the brewer is where practice stops pouring: the rest is room for a swirl. */
const FULL_SHARE = 0.75;
/** A stall: this much water stands above the bed and hardly anything runs out (assumed). */
const STALL = { aboveBedG: 20, outflowGps: 0.5 };
/** A bed this long without water above it has run dry between two pours (assumed). */
const DRY_S = 5;
/** Up to so much water per dose is a bloom, which is meant to drain (common practice: 1.4 to 3.8). */
const BLOOM_MOST = 4;

/** What goes wrong in a brew, in order of time, each with what to do about it. */
export function brewWarnings({
  setup,
  series,
  drawdownS,
  maxLevelM,
}: {
  setup: BrewSetup;
  series: readonly BrewMoment[];
  drawdownS: number | null;
  maxLevelM: number;
}): BrewWarning[] {
  return [
    ...kettleWarnings(setup),
    ...(maxLevelM > FULL_SHARE * setup.input.brewer.heightM
      ? [...levelWarnings(setup, series), ...swirlWarnings(setup, series)]
      : []),
    ...stallWarnings(setup, series, drawdownS),
    ...dryWarnings(setup, series),
  ].sort((a, b) => a.atS - b.atS);
}

function kettleWarnings({ inflows, boilingC }: BrewSetup): BrewWarning[] {
  const hottest = inflows.find(({ kettleC }) => kettleC > boilingC);
  if (!hottest) return [];
  const message = `Water boils at ${boilingC.toFixed(1)} °C at this elevation; set the kettle to that or less.`;
  return [{ kind: 'kettle-above-boiling', atS: hottest.startS, message }];
}

function levelWarnings({ input }: BrewSetup, series: readonly BrewMoment[]): BrewWarning[] {
  const { heightM } = input.brewer;
  const over = series.find(({ levelM }) => levelM > heightM);
  if (over) {
    const message = 'The slurry runs over the rim; pour less at once, later, or take a larger brewer.';
    return [{ kind: 'overflow', atS: over.atS, message }];
  }
  const full = series.find(({ levelM }) => levelM > FULL_SHARE * heightM);
  if (!full) return [];
  const message = 'The brewer is three quarters full; wait before pouring on, and do not swirl.';
  return [{ kind: 'nearly-full', atS: full.atS, message }];
}

function swirlWarnings({ input }: BrewSetup, series: readonly BrewMoment[]): BrewWarning[] {
  return input.agitation.flatMap(({ atS, kind }): BrewWarning[] => {
    const moment = series.find((each) => each.atS >= atS);
    if (!moment || moment.levelM <= FULL_SHARE * input.brewer.heightM) return [];
    const message = `The brewer is too full to ${kind} at ${formatDuration(atS)}: grounds go over the rim. Wait until it has drained, or leave it out.`;
    return [{ kind: 'agitated-when-full', atS, message }];
  });
}

function stallWarnings(
  { inflows }: BrewSetup,
  series: readonly BrewMoment[],
  drawdownS: number | null,
): BrewWarning[] {
  const pouredByS = Math.max(...inflows.map(({ endS }) => endS));
  const stalled = between(series, pouredByS, Infinity).find(
    ({ aboveBedG, outflowGps }) => aboveBedG > STALL.aboveBedG && outflowGps < STALL.outflowGps,
  );
  if (!stalled) return [];
  const drains = drawdownS === null ? 'it does not drain' : `it drains by ${formatDuration(drawdownS)}`;
  const message = `The brew stalls, ${drains}; grind coarser, agitate less, or take out fines.`;
  return [{ kind: 'stall', atS: stalled.atS, message }];
}

function dryWarnings({ inflows, doseKg, model }: BrewSetup, series: readonly BrewMoment[]): BrewWarning[] {
  let pouredKg = 0;
  return inflows.flatMap(({ startS, endS, kgPerS }): BrewWarning[] => {
    const isBloomed = pouredKg > BLOOM_MOST * doseKg;
    pouredKg += (endS - startS) * kgPerS;
    const before = isBloomed ? between(series, startS - DRY_S, startS) : [];
    const isDry = before.length > 0 && before.every(({ aboveBedG }) => aboveBedG < model.drainedKg * 1000);
    if (!isDry) return [];
    const message = `The bed stands dry before the pour at ${formatDuration(startS)}; pour earlier or grind finer, unless that is wanted.`;
    return [{ kind: 'bed-dry', atS: startS, message }];
  });
}

/** Moments from a time on and before another; a series stands in order of time, evenly. */
function between(series: readonly BrewMoment[], fromS: number, untilS: number): readonly BrewMoment[] {
  const everyS = (series[1]?.atS ?? 1) - (series[0]?.atS ?? 0);
  return series.slice(Math.max(0, Math.ceil(fromS / everyS)), Math.max(0, Math.ceil(untilS / everyS)));
}
