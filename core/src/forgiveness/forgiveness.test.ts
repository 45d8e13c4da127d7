import { describe, expect, it } from 'vitest';
import { valueOf } from '../result.js';
import { CONE_KIT as kit, PLAN as plan } from '../testing/brews.js';
import { forgiveness } from './forgiveness.js';
import { ORDINARY_ERRORS } from './handErrors.js';

const few = (change: Partial<Parameters<typeof forgiveness>[0]> = {}) =>
  valueOf(forgiveness({ plan, kit, count: 120, ...change }));

describe('how a recipe forgives', () => {
  const ordinary = few();

  it('spreads as far as the trial of 500 brews of a like recipe did', () => {
    // Computed on trial with the same errors: 13.8 s, 0.061 %, 0.75 points, 39 % inside; a guard against slips.
    expect(ordinary.drawdownS.sd).toBeGreaterThan(8);
    expect(ordinary.drawdownS.sd).toBeLessThan(20);
    expect(Math.abs(ordinary.tdsPercent.sd - 0.061)).toBeLessThan(0.015);
    expect(Math.abs(ordinary.yieldPercent.sd - 0.75)).toBeLessThan(0.2);
    expect(Math.abs(ordinary.insideShare - 0.39)).toBeLessThan(0.12);
    expect(ordinary.tdsPercent.low).toBeLessThan(ordinary.tdsPercent.mean);
  });

  // Common practice: grinder numbers carry over badly, and nothing else comes near.
  it('finds that the grinder decides', () => {
    expect(ordinary.byCause[0]?.cause).toBe('grindUm');
    expect(ordinary.byCause).toHaveLength(6);
    expect(ordinary.byCause[0]?.yieldSdPercent).toBeGreaterThan(
      3 * (ordinary.byCause[1]?.yieldSdPercent ?? 0),
    );
  });

  it('gives the same figures for the same seed, and others for another', () => {
    expect(few()).toEqual(ordinary);
    expect(few({ seed: 2 }).tdsPercent.sd).not.toBe(ordinary.tdsPercent.sd);
  });

  it('forgives everything when nobody errs, and more the less they do', () => {
    const scaled = (by: number) =>
      few({
        errors: Object.fromEntries(
          Object.entries(ORDINARY_ERRORS).map(([cause, size]) => [cause, size * by]),
        ) as unknown as typeof ORDINARY_ERRORS,
      });
    const [none, half] = [scaled(0), scaled(0.5)];
    expect(none.tdsPercent.sd).toBeLessThan(1e-9);
    expect(none.insideShare).toBe(1);
    expect(half.insideShare).toBeGreaterThan(ordinary.insideShare);
  });

  it('names a figure that cannot be', () => {
    expect(forgiveness({ plan, kit, count: 3 })).toMatchObject({
      field: 'count',
      allowed: '20 to 20000 brews',
    });
    expect(forgiveness({ plan, kit, errors: { ...ORDINARY_ERRORS, pourS: -1 } })).toMatchObject({
      field: 'pourS',
    });
    const factors = { solubility: 1, rate: NaN, flow: 1, retained: 1, steepness: 1 };
    expect(forgiveness({ plan, kit, factors })).toMatchObject({ field: 'lot.rate' });
    expect(forgiveness({ plan: { ...plan, kettleC: 300 }, kit })).toMatchObject({ field: 'kettleC' });
  });
});
