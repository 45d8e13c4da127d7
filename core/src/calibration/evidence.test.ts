import { describe, expect, it } from 'vitest';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { conditionsOfPlan } from './conditions.js';
import { observationsOf } from './evidence.js';

const brew = conditionsOfPlan({ plan: PLAN, kit: CONE_KIT });
const none = { brew, drawdownS: null, tdsPercent: null, beverageG: null };
/** A g a second from 0 to 200 s. */
const course = Array.from({ length: 201 }, (_, atS) => ({ atS, beverageG: atS }));
const takenOf = (trace: { atS: number; beverageG: number }[]) =>
  observationsOf([{ ...none, trace }]).map(({ atS }) => atS);

describe('what a trace gives to the fit', () => {
  it('is eight points from first to last, evenly, once the bed has begun to flow', () => {
    // 1.2 g for each of 15 g: from 18 g on, which is at 18 s here.
    expect(takenOf(course)).toEqual([18, 44, 70, 96, 122, 148, 174, 200]);
    expect(takenOf(course.toReversed())).toEqual([18, 44, 70, 96, 122, 148, 174, 200]);
  });

  it('is all of them where there are no more than eight, in order of time', () => {
    const few = [90, 18, 60].map((atS) => ({ atS, beverageG: atS }));
    expect(takenOf(few)).toEqual([18, 60, 90]);
    expect(takenOf(course.slice(18, 26))).toEqual([18, 19, 20, 21, 22, 23, 24, 25]);
    expect(takenOf(course.slice(0, 18))).toEqual([]);
  });

  it('wanders most half-way through its beverage', () => {
    const points = observationsOf([{ ...none, trace: course }]);
    // At 200 of 200 g a quarter of 0.8 g for each g of dose.
    expect(points.at(-1)?.wanderSd).toBeCloseTo(3, 9);
    expect(points.find(({ atS }) => atS === 96)?.wanderSd).toBeCloseTo(11.986, 3);
  });

  it('is nothing where nothing was measured', () => {
    expect(observationsOf([none])).toEqual([]);
    expect(observationsOf([])).toEqual([]);
  });
});
