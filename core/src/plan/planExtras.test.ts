import { describe, expect, it } from 'vitest';
import { benchSteps } from '../bench/benchSteps.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { forecastPlan } from '../forecast/forecastPlan.js';
import { valueOf } from '../result.js';
import { CONE_KIT } from '../testing/brews.js';
import { planAllWaterG, pourKettlesC, type BrewPlan } from './plan.js';
import { planChanges } from './planChanges.js';
import { planFaults } from './planFaults.js';

const pour = (startS: number, amountG: number) => ({
  startS,
  amountG,
  flowGps: 8,
  agitation: 'none' as const,
  isBloom: startS === 0,
});
const PLAIN: BrewPlan = {
  doseG: 16,
  kettleC: 94,
  grindUm: 700,
  pours: [pour(0, 40), pour(40, 100), pour(80, 100)],
  drawdownS: 150,
};
const cooler = (plan: BrewPlan, index: number, kettleC: number): BrewPlan => ({
  ...plan,
  pours: plan.pours.map((each, at) => (at === index ? { ...each, kettleC } : each)),
});

describe('steps of a plan other than pours', () => {
  it('a kettle set anew stays so for the pours after it', () => {
    const plan = cooler(PLAIN, 1, 88);
    expect(pourKettlesC(plan)).toEqual([94, 88, 88]);
    expect(conditionsOfPlan({ plan, kit: CONE_KIT }).pours.map(({ kettleC }) => kettleC)).toEqual([
      undefined,
      88,
      88,
    ]);
    expect(benchSteps(plan).map((step) => (step.kind === 'pour' ? step.newKettleC : null))).toEqual([
      null,
      88,
      null,
      null,
    ]);
    expect(planChanges({ from: PLAIN, to: plan })).toEqual([
      { figure: 'kettle', from: '94 °C', to: '94 °C, 88 °C from pour 2' },
    ]);
    expect(planFaults({ plan, boilingC: 87.5 }).map(({ field }) => field)).toEqual([
      'kettleC',
      'pours.1.kettleC',
    ]);
  });

  it('cooler late water extracts less and leaves the slurry colder', () => {
    const plain = valueOf(forecastPlan({ plan: PLAIN, kit: CONE_KIT }));
    const late = valueOf(forecastPlan({ plan: cooler(PLAIN, 1, 80), kit: CONE_KIT }));
    expect(late.yieldPercent).toBeLessThan(plain.yieldPercent);
  });

  it('a chilled ball is taken away in its place among the steps', () => {
    const plan = { ...PLAIN, ballUntilS: 60 };
    expect(benchSteps(plan).map(({ kind }) => kind)).toEqual([
      'pour',
      'pour',
      'remove-ball',
      'pour',
      'drawdown',
    ]);
    expect(valueOf(forecastPlan({ plan, kit: CONE_KIT })).beverageC).toBeLessThan(
      valueOf(forecastPlan({ plan: PLAIN, kit: CONE_KIT })).beverageC,
    );
    expect(planFaults({ plan: { ...PLAIN, ballUntilS: 150 } })).toMatchObject([
      { reason: 'ball-after-the-end' },
    ]);
  });

  it('a brewer lifted at the end keeps the rest out of the cup', () => {
    const plan = { ...PLAIN, drawdownS: 100, lifts: true };
    const lifted = valueOf(forecastPlan({ plan, kit: CONE_KIT }));
    expect(lifted.beverageG).toBeLessThan(valueOf(forecastPlan({ plan: PLAIN, kit: CONE_KIT })).beverageG);
    expect(lifted.afterLift?.beverageG).toBeGreaterThan(1);
    expect(benchSteps(plan).at(-1)).toEqual({ kind: 'drawdown', plannedS: 100, lifts: true });
  });

  it('bypass adds to the beverage and leaves the yield', () => {
    const plan = { ...PLAIN, bypassG: 20 };
    const [plain, diluted] = [PLAIN, plan].map((each) =>
      valueOf(forecastPlan({ plan: each, kit: CONE_KIT })),
    );
    expect(planAllWaterG(plan)).toBe(260);
    expect((diluted?.beverageG ?? 0) - (plain?.beverageG ?? 0)).toBeCloseTo(20, 6);
    expect(diluted?.yieldPercent).toBeCloseTo(plain?.yieldPercent ?? NaN, 9);
    expect(planChanges({ from: PLAIN, to: plan })).toContainEqual({
      figure: 'bypass',
      from: 'none',
      to: '20 g',
    });
  });

  it('needles wet the bed: more of it extracts', () => {
    const needled = {
      ...PLAIN,
      pours: PLAIN.pours.map((each, at) => (at === 0 ? { ...each, agitation: 'needle' as const } : each)),
    };
    expect(valueOf(forecastPlan({ plan: needled, kit: CONE_KIT })).yieldPercent).toBeGreaterThan(
      valueOf(forecastPlan({ plan: PLAIN, kit: CONE_KIT })).yieldPercent,
    );
  });
});
