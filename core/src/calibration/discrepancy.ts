import { medianUm, type BrewConditions } from './conditions.js';

/** What a brew is judged by. Drain time enters as its logarithm: the model errs by a share of it. */
export const OUTPUTS = ['drawdown', 'tds', 'beverage'] as const;
export type Output = (typeof OUTPUTS)[number];

/**
 * How far the model is off even when the lot is known: 3 % of the time, 0.03 % TDS, 0.7 g. More brews do
 * not remove it. Source: 200 synthetic lots whose truth had other constants (computed on trial).
 */
export const MODEL_ERROR: Record<Output, number> = { drawdown: 0.04, tds: 0.035, beverage: 0.7 };

/** How far two recipes may lie apart and still share the model's error (assumed). */
const LIKE = { lnGrind: 0.2, ratio: 1.5, kettleC: 8, pouredByS: 40, pours: 1.5 };

/** How much of that carries over to another brewer or paper, where most of the flow differs (assumed). */
const OTHER_KIT = 0.3;

function sameBrewer({ brewer: a }: BrewConditions, { brewer: b }: BrewConditions): boolean {
  return a === b || (Object.keys(a) as (keyof typeof a)[]).every((figure) => a[figure] === b[figure]);
}

/**
 * How much of the model's error two brews share, 0 to 1: all of it when they are the same recipe, little when
 * they differ by 150 micrometres. This is what lets a measured brew correct the forecast of its neighbours.
 */
export function likeness(a: BrewConditions, b: BrewConditions): number {
  const [first, second] = [featuresOf(a), featuresOf(b)];
  let distance = 0;
  for (const name of Object.keys(LIKE) as (keyof typeof LIKE)[]) {
    distance += ((first[name] - second[name]) / LIKE[name]) ** 2;
  }
  const sameKit = sameBrewer(a, b) && a.paperPerM === b.paperPerM;
  return Math.exp(-distance / 2) * (sameKit ? 1 : OTHER_KIT);
}

function featuresOf(brew: BrewConditions): Record<keyof typeof LIKE, number> {
  const poured = brew.pours.filter(({ amountG }) => amountG > 0);
  return {
    lnGrind: Math.log(medianUm(brew)),
    ratio: poured.reduce((sum, { amountG }) => sum + amountG, 0) / brew.doseG,
    kettleC: brew.kettleC,
    pouredByS: Math.max(...poured.map(({ startS, amountG, flowGps }) => startS + amountG / flowGps)),
    pours: poured.length,
  };
}
