import { formatDuration } from '../quantity/duration.js';
import type { BrewSetup } from './setup.js';
import type { BrewSeries, BrewWarning } from './types.js';

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
  series: BrewSeries;
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
  const message = `Water boils at ${boilingC.toFixed(1)} °C at this elevation; set the kettle no higher.`;
  return [{ kind: 'kettle-above-boiling', atS: hottest.startS, message }];
}

function levelWarnings({ input }: BrewSetup, series: BrewSeries): BrewWarning[] {
  const { heightM } = input.brewer;
  const over = series.levelM.findIndex((levelM) => levelM > heightM);
  if (over >= 0) {
    const message = 'The slurry runs over the rim; pour less at once, later, or take a larger brewer.';
    return [{ kind: 'overflow', atS: series.atS[over] ?? 0, message }];
  }
  const full = series.levelM.findIndex((levelM) => levelM > FULL_SHARE * heightM);
  if (full < 0) return [];
  const message = 'The brewer is three quarters full; wait before pouring more, and do not swirl.';
  return [{ kind: 'nearly-full', atS: series.atS[full] ?? 0, message }];
}

function swirlWarnings({ input }: BrewSetup, series: BrewSeries): BrewWarning[] {
  return input.agitation.flatMap(({ atS, kind }): BrewWarning[] => {
    const levelM = series.levelM[indexAt(series, atS)] ?? 0;
    if (levelM <= FULL_SHARE * input.brewer.heightM) return [];
    const message = `The brewer is too full to ${kind} at ${formatDuration(atS)}: grounds would go over the rim. Wait until it has drained, or skip it.`;
    return [{ kind: 'agitated-when-full', atS, message }];
  });
}

function stallWarnings({ inflows }: BrewSetup, series: BrewSeries, drawdownS: number | null): BrewWarning[] {
  const pouredByS = Math.max(...inflows.map(({ endS }) => endS));
  let stalled = indexAt(series, pouredByS);
  while (stalled < series.atS.length && !isStalled(series, stalled)) stalled += 1;
  if (stalled === series.atS.length) return [];
  const drains = drawdownS === null ? 'it does not drain' : `it drains by ${formatDuration(drawdownS)}`;
  const message = `The brew stalls, ${drains}; grind coarser, agitate less, or sieve out fines.`;
  return [{ kind: 'stall', atS: series.atS[stalled] ?? 0, message }];
}

function isStalled({ aboveBedG, outflowGps }: BrewSeries, index: number): boolean {
  return (aboveBedG[index] ?? 0) > STALL.aboveBedG && (outflowGps[index] ?? 0) < STALL.outflowGps;
}

function dryWarnings({ inflows, doseKg, model }: BrewSetup, series: BrewSeries): BrewWarning[] {
  let pouredKg = 0;
  return inflows.flatMap(({ startS, endS, kgPerS }): BrewWarning[] => {
    const isBloomed = pouredKg > BLOOM_MOST * doseKg;
    pouredKg += (endS - startS) * kgPerS;
    const before = isBloomed
      ? series.aboveBedG.slice(indexAt(series, startS - DRY_S), indexAt(series, startS))
      : [];
    const isDry = before.length > 0 && before.every((aboveBedG) => aboveBedG < model.drainedKg * 1000);
    if (!isDry) return [];
    const message = `The bed runs dry before the pour at ${formatDuration(startS)}; pour earlier or grind finer, unless that is wanted.`;
    return [{ kind: 'bed-dry', atS: startS, message }];
  });
}

/** First index at a time or after it; a series stands evenly in time. Past its end it is the length. */
function indexAt({ atS }: BrewSeries, seconds: number): number {
  const everyS = (atS[1] ?? 1) - (atS[0] ?? 0);
  return Math.min(atS.length, Math.max(0, Math.ceil(seconds / everyS)));
}
