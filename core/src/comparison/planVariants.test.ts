import { describe, expect, it } from 'vitest';
import { PLAN } from '../testing/brews.js';
import { planWaterG } from '../plan/plan.js';
import { armDifferences } from './armDifferences.js';
import { planVariants } from './planVariants.js';

const arm = (plan: typeof PLAN) => ({
  lotName: '',
  brewerName: '',
  paperName: '',
  waterName: '',
  kettleName: '',
  grinderName: '',
  plan,
  brews: [],
});

describe('variants of a plan', () => {
  it('each differ in what they are named for', () => {
    const variants = planVariants(PLAN);
    expect(variants.map(({ words }) => words)).toEqual([
      '40 µm finer',
      '40 µm coarser',
      '2 °C hotter',
      '2 °C cooler',
      'without bloom',
      'not agitated',
    ]);
    for (const { axis, plan } of variants) {
      const differing = armDifferences([arm(PLAN), arm(plan)]).map((each) => each.axis);
      // Without its bloom a plan has other pours too, and what was done to the bloom is done no more.
      expect(differing, axis).toEqual(axis === 'bloom' ? ['agitation', 'bloom', 'pours'] : [axis]);
      expect(planWaterG(plan)).toBe(planWaterG(PLAN));
    }
  });

  it('leave out what the plan has not, and what cannot be brewed', () => {
    const plain = {
      ...PLAN,
      kettleC: 99,
      pours: PLAN.pours.map((pour) => ({ ...pour, isBloom: false, agitation: 'none' as const })),
    };
    expect(planVariants(plain).map(({ words }) => words)).toEqual([
      '40 µm finer',
      '40 µm coarser',
      '2 °C cooler',
    ]);
  });
});
