import { describe, expect, it } from 'vitest';
import { BREWER_CLASSES, PAPER_PER_M } from '../brewModel/hardware.js';
import type { BrewKit } from '../calibration/conditions.js';
import { planRatio } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN as plan } from '../testing/brews.js';
import { forecastPlan } from './forecastPlan.js';
import { scalePlan } from './scalePlan.js';

const carafe: BrewKit = { ...CONE_KIT, brewer: BREWER_CLASSES.carafe, paperPerM: PAPER_PER_M.thick };

describe('a plan in a brewer', () => {
  it('is forecast with nothing to warn of where it is sound', () => {
    const { drawdownS, tdsPercent, warnings } = valueOf(forecastPlan({ plan, kit: CONE_KIT }));
    expect(warnings).toEqual([]);
    expect(drawdownS).toBeGreaterThan(120);
    expect(tdsPercent).toBeGreaterThan(1.2);
  });

  it('is warned of a brewer too small for it, and of a swirl when that is full', () => {
    const large = {
      ...plan,
      doseG: 30,
      pours: [
        { startS: 0, amountG: 500, flowGps: 12, agitation: 'swirl' as const, isBloom: false },
        { startS: 60, amountG: 200, flowGps: 12, agitation: 'none' as const, isBloom: false },
      ],
    };
    const kinds = valueOf(forecastPlan({ plan: large, kit: CONE_KIT })).warnings.map(({ kind }) => kind);
    expect(kinds).toContain('agitated-when-full');
    expect(kinds).toContain('overflow');
  });

  it('is refused with all its faults where it cannot be brewed', () => {
    const broken = { ...plan, kettleC: 99, drawdownS: 60 };
    const result = forecastPlan({ plan: broken, kit: { ...CONE_KIT, elevationM: 2000 } });
    expect(result).toMatchObject({ reason: 'plan-cannot-be-brewed' });
    expect('faults' in result && result.faults.map(({ reason }) => reason)).toEqual([
      'drawdown-before-last-pour',
      'kettle-above-boiling',
    ]);
  });
});

describe('a plan at another dose', () => {
  const scaled = (doseG: number, toKit = CONE_KIT) =>
    valueOf(scalePlan({ plan, kit: CONE_KIT, toKit, doseG }));

  it('keeps ratio and clock, with water and bloom in proportion', () => {
    const { plan: at20 } = scaled(20);
    expect(planRatio(at20)).toBeCloseTo(planRatio(plan), 1);
    expect(at20.pours.map(({ startS }) => startS)).toEqual([0, 40, 80]);
    expect(at20.pours.map(({ amountG }) => amountG)).toEqual([60, 133, 133]);
  });

  // Common practice: a deeper bed drains slower, so the grind goes coarser, and the time still grows.
  it('grinds coarser and drains later the more there is', () => {
    const doses = [12, 15, 18, 21].map((doseG) => scaled(doseG));
    const grinds = doses.map(({ plan: each }) => each.grindUm);
    const times = doses.map(({ plan: each }) => each.drawdownS);
    expect(grinds).toEqual([...grinds].sort((a, b) => a - b));
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(grinds[1]).toBe(700);
    for (const { yieldShiftPoints } of doses) expect(Math.abs(yieldShiftPoints)).toBeLessThan(0.1);
  });

  it('moves to another brewer and paper', () => {
    const { plan: shared, grindShiftUm, yieldShiftPoints } = scaled(30, carafe);
    expect(shared.doseG).toBe(30);
    // Common practice: thick paper is slow, so coarser.
    expect(grindShiftUm).toBeGreaterThan(50);
    expect(Math.abs(yieldShiftPoints)).toBeLessThan(0.2);
    expect(shared.pours.every(({ flowGps }) => flowGps <= 15)).toBe(true);
  });

  it('says what stands in the way', () => {
    const scale = (change: object) => scalePlan({ plan, kit: CONE_KIT, doseG: 20, ...change });
    expect(scale({ doseG: 2 })).toMatchObject({ field: 'doseG', allowed: '5 to 120 g' });
    expect(scale({ doseG: 60 })).toMatchObject({ reason: 'brewer-too-small' });
    const hurried = { ...plan, pours: plan.pours.map((pour, at) => ({ ...pour, startS: at * 17 })) };
    expect(scale({ plan: hurried, doseG: 90, toKit: carafe })).toMatchObject({ reason: 'pours-do-not-fit' });
  });
});
