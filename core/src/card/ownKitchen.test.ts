import { describe, expect, it } from 'vitest';
import { planAllWaterG, planRatio } from '../plan/plan.js';
import { planFaults } from '../plan/planFaults.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { atOwnDose } from './ownDose.js';
import { restAdvice } from './restAdvice.js';
import { cardModel } from './variants.js';
import { waterAdvice } from './waterAdvice.js';

describe('a card in another kitchen', () => {
  it('keeps ratio and clock at another dose, and says from where on that is not what was proven', () => {
    for (const doseG of [PLAN.doseG * 0.92, PLAN.doseG * 1.08, PLAN.doseG * 2]) {
      const own = atOwnDose({ ...PLAN, bypassG: 30 }, doseG);
      expect(planRatio(own.plan)).toBeCloseTo(planRatio({ ...PLAN, bypassG: 30 }), 0);
      expect(own.plan.pours.map(({ startS }) => startS)).toEqual(PLAN.pours.map(({ startS }) => startS));
      expect(planFaults({ plan: own.plan })).toEqual([]);
      expect(own.isProven).toBe(doseG < PLAN.doseG * 1.5);
    }
    expect(planAllWaterG(atOwnDose(PLAN, PLAN.doseG).plan)).toBe(planAllWaterG(PLAN));
    expect(atOwnDose(PLAN, PLAN.doseG * 1.11).isProven).toBe(false);
  });

  it('tells of water and rest in its own figures', () => {
    expect(waterAdvice({ hardnessMgPerL: 60, alkalinityMgPerL: 40 }).join(' ')).toMatch(
      /60 mg\/L hardness.*than 100 .* than 80 mg/,
    );
    expect(restAdvice({ from: 9, to: 9 })).toContain('Proven 9 days');
    expect(restAdvice({ from: 8, to: 12 })).toContain('8 to 12 days');
  });
});

describe('variants of a card', () => {
  const brew = conditionsOfPlan({ plan: PLAN, kit: CONE_KIT });
  const measured = { brew, drawdownS: 175, tdsPercent: 1.32, beverageG: 212 };
  const model = cardModel({ plan: PLAN, kit: CONE_KIT, brews: [measured, measured, measured] });
  const variant = (name: string) => model?.variants.find((each) => each.variant === name);

  // Common practice: coarser is brighter and lighter, finer rounder and heavier; less water is stronger.
  it('move the cup the way they are called', () => {
    const strength = (name: string) => variant(name)?.tdsPercent.value ?? NaN;
    expect(strength('brighter')).toBeLessThan(strength('rounder'));
    expect(strength('stronger')).toBeGreaterThan(1.32);
    expect(variant('stronger')).toMatchObject({ grindByUm: 0 });
    expect(variant('brighter')?.yieldPercent.value).toBeLessThan(variant('rounder')?.yieldPercent.value ?? 0);
  });

  it('come with a band each, and with what the lot taught', () => {
    for (const { tdsPercent } of model?.variants ?? []) {
      expect(tdsPercent.low).toBeLessThan(tdsPercent.value);
      expect(tdsPercent.high).toBeGreaterThan(tdsPercent.value);
    }
    expect(model?.variants).toHaveLength(3);
    expect(model?.factors.flow).not.toBe(1);
  });
});
