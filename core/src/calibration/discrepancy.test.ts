import { describe, expect, it } from 'vitest';
import { BREWER_CLASSES } from '../brewModel/hardware.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { conditionsOfPlan, type BrewConditions } from './conditions.js';
import { likenessTo, MODEL_ERROR, modelErrorOf, sameBrewer } from './discrepancy.js';

const brew = conditionsOfPlan({ plan: PLAN, kit: CONE_KIT });
const likeness = (change: Partial<BrewConditions>, other: Partial<BrewConditions> = {}) =>
  likenessTo([{ ...brew, ...other }])({ ...brew, ...change })[0] ?? NaN;
/** What is left where one figure lies as far off as two recipes may. */
const ONE_OFF = Math.exp(-1 / 2);
/** The last water of this brew: 100 g at 6 g/s from 80 s on. */
const POURED_BY_S = 80 + 100 / 6;

describe('the error of the model that two brews share', () => {
  it.each<[string, Partial<BrewConditions>]>([
    [
      'a ratio of one more',
      { pours: brew.pours.map((pour, at) => (at === 0 ? { ...pour, amountG: 60 } : pour)) },
    ],
    ['a kettle of five degrees more', { kettleC: brew.kettleC + 5 }],
    ['a grind that is coarser by 15 %', { grind: { d50Um: 700 * Math.exp(0.14) } }],
    ['a paper that is denser by two thirds', { paperPerM: brew.paperPerM * Math.exp(0.5) }],
    ['as much water past the bed as there is coffee', { bypassG: brew.doseG }],
  ])('is six tenths for %s', (_, change) => {
    expect(likeness(change)).toBeCloseTo(ONE_OFF, 3);
    expect(likeness({}, change)).toBeCloseTo(ONE_OFF, 3);
  });

  it('is all of it for the same, and for the same with a pour of nothing', () => {
    expect(likeness({})).toBe(1);
    const nothing = { startS: 90, amountG: 0, flowGps: 6 };
    expect(likeness({ pours: [...brew.pours, nothing] })).toBeGreaterThan(0.99);
  });

  it('is less where the pours fall from higher, wander from the bed, or come through a regulator', () => {
    // A regulator of its own and one that drops as fast: only what it is differs.
    expect(likeness({ regulatorGps: 6 })).toBeLessThan(0.7);
    expect(likeness({ regulatorGps: 6 }, { regulatorGps: 6 })).toBe(1);
  });

  it('is least for a lift that leaves half of it out', () => {
    const lifts = [400, 160, 120].map((liftAtS) => likeness({ liftAtS }));
    expect(lifts[0]).toBe(1);
    expect(lifts[1]).toBeLessThan(0.01);
    expect(lifts[2]).toBeLessThan(lifts[1] ?? 0);
  });

  it('carries over to another brewer by three tenths, however alike the recipe', () => {
    const same = { ...BREWER_CLASSES.cone };
    expect(sameBrewer({ brewer: same }, brew)).toBe(true);
    const [figure] = Object.keys(same) as [keyof typeof same];
    const other = { ...same, [figure]: same[figure] * 1.01 };
    expect(sameBrewer({ brewer: other }, brew)).toBe(false);
    expect(likeness({ brewer: other })).toBeCloseTo(0.3, 2);
  });
});

describe('how far the model is off', () => {
  it('is the same for every brew that is not lifted early, and of every drain time', () => {
    for (const output of ['drawdown', 'tds', 'beverage'] as const) {
      expect(modelErrorOf(output, brew)).toBe(MODEL_ERROR[output]);
    }
    expect(modelErrorOf('drawdown', { ...brew, liftAtS: 60 })).toBe(MODEL_ERROR.drawdown);
  });

  it.each([
    [40, 1],
    [10, 4.5],
    [-20, 8],
    [-60, 8],
  ])('is, lifted %i s after the last pour, %f times as much', (afterS, times) => {
    const lifted = { ...brew, liftAtS: POURED_BY_S + afterS };
    expect(modelErrorOf('tds', lifted) / MODEL_ERROR.tds).toBeCloseTo(times, 6);
    expect(modelErrorOf('beverage', lifted) / MODEL_ERROR.beverage).toBeCloseTo(times, 6);
  });
});
