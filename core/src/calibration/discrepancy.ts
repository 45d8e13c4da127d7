import { BREW_MODEL } from '../brewModel/constants.js';
import { inflowsOf, unevenShare, type Inflow } from '../brewModel/inflow.js';
import { medianUm, type BrewConditions } from './conditions.js';

/** What a brew is judged by. Drain time enters as its logarithm: the model errs by a share of it. */
export const OUTPUTS = ['drawdown', 'tds', 'beverage'] as const;
export type Output = (typeof OUTPUTS)[number];

/**
 * How far the model is off even when the lot is known: 4 % of the time, 0.035 % TDS, 0.7 g. More brews do
 * not remove it. Source: synthetic lots of two truths, on which bands of nine in ten have to hold (computed).
 */
export const MODEL_ERROR: Record<Output, number> = { drawdown: 0.04, tds: 0.035, beverage: 0.7 };

/**
 * How far two recipes may lie apart and still share the model's error. Grind, ratio and kettle so that bands of nine
 * in ten come nearest to it on both of two truths (computed, docs/decisions/0003); the rest assumed.
 */
const LIKE = {
  lnGrind: 0.14,
  ratio: 1,
  kettleC: 5,
  pouredByS: 40,
  pours: 1.5,
  lnPaper: 0.5,
  liftAtS: 40,
  bypassPerDose: 1,
  lnFall: 0.7,
  missedShare: 0.05,
  isRegulated: 0.8,
};

/** How much of that carries over to another brewer, where most of the flow differs (assumed). */
const OTHER_BREWER = 0.3;
/** A brewer that is not lifted off keeps dripping at least until then, s: what a lift before it leaves out is another cup. */
const NOT_LIFTED_S = 400;

/**
 * A brewer lifted off while much is still to come leaves a part of a brew, of which the model knows far less: it
 * is stronger, and its strength hangs on the first minute. Up to eight times the error where it is lifted a minute
 * before the usual end, 40 s after the last pour (assumed).
 */
const PART = { most: 8, wholeAfterS: 40, overS: 60 };

/** How far the model is off of one figure of a brew, as a standard deviation. */
export function modelErrorOf(output: Output, brew: BrewConditions): number {
  if (brew.liftAtS === undefined || output === 'drawdown') return MODEL_ERROR[output];
  const earlyS = lastEndS(inflowsOf(brew, BREW_MODEL)) + PART.wholeAfterS - brew.liftAtS;
  return MODEL_ERROR[output] * (1 + (PART.most - 1) * Math.min(1, Math.max(0, earlyS / PART.overS)));
}

export function sameBrewer(
  { brewer: a }: Pick<BrewConditions, 'brewer'>,
  { brewer: b }: Pick<BrewConditions, 'brewer'>,
): boolean {
  return a === b || (Object.keys(a) as (keyof typeof a)[]).every((figure) => a[figure] === b[figure]);
}

/**
 * How much of the model's error a brew shares with each of others, 0 to 1: all of it when they are the same recipe, little
 * when they differ by 100 micrometres, next to none when one was lifted off half-way: a part of a brew is another cup.
 * This is what lets a measured brew correct the forecast of its neighbours.
 */
export function likenessTo(brews: readonly BrewConditions[]): (brew: BrewConditions) => number[] {
  const known = brews.map((brew) => ({ brew, features: featuresOf(brew) }));
  return (asked) => {
    const features = featuresOf(asked);
    return known.map(
      (each) =>
        Math.exp(-distanceOf(features, each.features) / 2) *
        (sameBrewer(asked, each.brew) ? 1 : OTHER_BREWER),
    );
  };
}

type Features = Record<keyof typeof LIKE, number>;
const FEATURES = Object.keys(LIKE) as (keyof typeof LIKE)[];

function distanceOf(a: Features, b: Features): number {
  return FEATURES.reduce((sum, name) => sum + ((a[name] - b[name]) / LIKE[name]) ** 2, 0);
}

function featuresOf(brew: BrewConditions): Features {
  const poured = brew.pours.filter(({ amountG }) => amountG > 0);
  const inflows = inflowsOf(brew, BREW_MODEL);
  return {
    lnGrind: Math.log(medianUm(brew)),
    ratio: poured.reduce((sum, { amountG }) => sum + amountG, 0) / brew.doseG,
    kettleC: brew.kettleC,
    pouredByS: lastEndS(inflows),
    pours: poured.length,
    lnPaper: Math.log(brew.paperPerM),
    liftAtS: Math.min(brew.liftAtS ?? NOT_LIFTED_S, NOT_LIFTED_S),
    bypassPerDose: (brew.bypassG ?? 0) / brew.doseG,
    lnFall: inflows.reduce((sum, { fallM }) => sum + Math.log(fallM), 0) / Math.max(1, inflows.length),
    missedShare: unevenShare(brew, BREW_MODEL),
    isRegulated: brew.regulatorGps === undefined ? 0 : 1,
  };
}

/** When all water is on the bed, s. */
function lastEndS(inflows: readonly Inflow[]): number {
  return Math.max(0, ...inflows.map(({ endS }) => endS));
}
