import { describe, expect, it } from 'vitest';
import { PLAN } from '../testing/brews.js';
import type { BrewPlan } from '../plan/plan.js';
import { alignedPlan } from './alignedPlan.js';
import { matchedGrind } from './matchedGrind.js';

const other: BrewPlan = {
  ...PLAN,
  doseG: 17,
  kettleC: 96,
  grindUm: 620,
  pours: PLAN.pours.slice(0, 2),
};

describe('one plan for all arms', () => {
  it('is the plan of A with the grind that is matched otherwise', () => {
    expect(alignedPlan({ from: PLAN, to: other, asks: ['brewer'], matchedBy: 'drain' })).toEqual({
      ...PLAN,
      grindUm: 620,
    });
    expect(alignedPlan({ from: PLAN, to: other, asks: ['brewer'], matchedBy: 'dial' })).toEqual(PLAN);
  });

  it('leaves what is asked about', () => {
    expect(alignedPlan({ from: PLAN, to: other, asks: ['temperature'], matchedBy: 'dial' })).toEqual({
      ...PLAN,
      kettleC: 96,
    });
    expect(
      alignedPlan({
        from: { ...PLAN, sieveUm: 200 },
        to: { ...other, secondGrind: { grindUm: 900, sharePercent: 30 } },
        asks: ['grind'],
        matchedBy: 'dial',
      }),
    ).toEqual({ ...PLAN, grindUm: 620, secondGrind: { grindUm: 900, sharePercent: 30 } });
  });

  it('is none where the pours are the question, or where nothing is left to align', () => {
    expect(alignedPlan({ from: PLAN, to: other, asks: ['bloom'], matchedBy: 'dial' })).toBeNull();
    expect(
      alignedPlan({ from: PLAN, to: { ...PLAN, grindUm: 620 }, asks: ['grind'], matchedBy: 'dial' }),
    ).toBeNull();
  });
});

describe('a grind that is matched', () => {
  // A drain time that falls by a second for each 4 micrometres.
  const valueAt = ({ grindUm }: BrewPlan) => 340 - grindUm / 4;

  it('gives the figure wanted, on a step that a grinder can take (computed: 340 - 600 / 4)', () => {
    expect(matchedGrind({ plan: PLAN, wanted: 190, valueAt })?.grindUm).toBe(600);
  });

  it('moves both of two grinds', () => {
    const plan: BrewPlan = { ...PLAN, secondGrind: { grindUm: 1050, sharePercent: 40 } };
    expect(matchedGrind({ plan, wanted: 165, valueAt })).toMatchObject({
      grindUm: 700,
      secondGrind: { grindUm: 1050, sharePercent: 40 },
    });
  });

  it('is none out of reach, or where the plan cannot be brewed', () => {
    expect(matchedGrind({ plan: PLAN, wanted: 400, valueAt })).toBeNull();
    expect(matchedGrind({ plan: PLAN, wanted: -100, valueAt })).toBeNull();
    expect(matchedGrind({ plan: PLAN, wanted: 190, valueAt: () => null })).toBeNull();
  });
});
