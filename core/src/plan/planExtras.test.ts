import { describe, expect, it } from 'vitest';
import { benchSteps } from '../bench/benchSteps.js';
import { preparationOf } from '../bench/preparation.js';
import { addedWaterG, servingOf } from '../bench/serving.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { forecastPlan } from '../forecast/forecastPlan.js';
import { valueOf } from '../result.js';
import { CONE_KIT } from '../testing/brews.js';
import { planAllWaterG, pourKettlesC, type BrewPlan } from './plan.js';
import { removePour } from './editPours.js';
import { splitPour } from './movePours.js';
import { planChanges } from './planChanges.js';
import { planFaults } from './planFaults.js';
import { throughRegulator } from './regulator.js';
import { streamOf } from './stream.js';

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
    expect(benchSteps(plan).at(-1)).toEqual({
      kind: 'drawdown',
      plannedS: 100,
      untilS: 100,
      lifts: true,
      tailApart: false,
    });
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

  it('where a pour goes and from how high is told at the bench, in what changed, and felt', () => {
    const held = { ...PLAIN, pours: PLAIN.pours.map((each) => ({ ...each, pattern: 'centre' as const })) };
    const high = {
      ...PLAIN,
      pours: PLAIN.pours.map((each, at) => (at === 0 ? { ...each, heightCm: 25 } : each)),
    };
    expect(benchSteps(held)[0]).toMatchObject({ pouring: 'in the centre' });
    expect(benchSteps(high)[0]).toMatchObject({ pouring: 'from 25 cm' });
    expect(planChanges({ from: PLAIN, to: held })).toEqual([
      { figure: 'pouring', from: 'as usual', to: 'in the centre' },
    ]);
    expect(planChanges({ from: PLAIN, to: high })).toEqual([
      { figure: 'pouring', from: 'as usual', to: 'from 25 cm at 1' },
    ]);
    const fell = { ...PLAIN, pours: PLAIN.pours.map((each) => ({ ...each, heightCm: 25 })) };
    const [plain, centred, fallen] = [PLAIN, held, fell].map(
      (plan) => valueOf(forecastPlan({ plan, kit: CONE_KIT })).yieldPercent,
    );
    expect(centred).toBeLessThan(plain ?? NaN);
    expect(fallen).toBeGreaterThan(plain ?? NaN);
  });

  it('a regulator takes the pours and feeds them evenly, as late as it must', () => {
    const plan = { ...PLAIN, regulatorGps: 2, drawdownS: 200 };
    expect(throughRegulator(PLAIN.pours, 2)).toEqual([
      { startS: 0, endS: 20 },
      { startS: 40, endS: 90 },
      { startS: 90, endS: 140 },
    ]);
    expect(planFaults({ plan })).toEqual([]);
    expect(planFaults({ plan: { ...plan, drawdownS: 130 } })).toMatchObject([
      { reason: 'regulator-too-slow', field: 'regulatorGps' },
    ]);
    expect(planChanges({ from: PLAIN, to: { ...PLAIN, regulatorGps: 2 } })).toEqual([
      { figure: 'regulator', from: 'none', to: '2 g/s' },
    ]);
    expect(preparationOf({ plan, rinseG: 0 }).at(-2)).toEqual({ task: 'regulator', figure: 2 });
    // The same dose and grind came out stronger under one (common practice).
    const [plain, fed] = [PLAIN, plan].map((each) => valueOf(forecastPlan({ plan: each, kit: CONE_KIT })));
    expect(fed?.tdsPercent).toBeGreaterThan((plain?.tdsPercent ?? NaN) + 0.02);
    expect(fed?.drawdownS).toBeGreaterThan(140);
  });

  it('a shower plate rains on all of the bed, however it is poured, and leaves no room for a regulator', () => {
    const held = {
      ...PLAIN,
      pours: PLAIN.pours.map((each) => ({ ...each, pattern: 'centre' as const, heightCm: 25 })),
    };
    const plate = { ...held, showerPlate: true };
    expect(conditionsOfPlan({ plan: plate, kit: CONE_KIT }).pours).toEqual(
      PLAIN.pours.map(({ startS, amountG, flowGps }) => ({
        startS,
        amountG,
        flowGps,
        pattern: 'spiral',
        fallM: 0.02,
      })),
    );
    expect(preparationOf({ plan: plate, rinseG: 0 }).at(-2)?.task).toBe('shower-plate');
    expect(planFaults({ plan: { ...plate, regulatorGps: 3, drawdownS: 200 } })).toMatchObject([
      { reason: 'two-on-top', field: 'showerPlate' },
    ]);
    expect(planChanges({ from: held, to: plate })).toEqual([
      { figure: 'on-top', from: 'nothing', to: 'shower plate' },
    ]);
  });

  it('a tail has a cup of its own only where the brewer is lifted', () => {
    const plan = { ...PLAIN, drawdownS: 110, lifts: true, tailApart: true };
    expect(planFaults({ plan })).toEqual([]);
    expect(planFaults({ plan: { ...PLAIN, tailApart: true } })).toMatchObject([
      { reason: 'no-tail', field: 'tailApart' },
    ]);
    expect(benchSteps(plan).at(-1)).toMatchObject({ kind: 'drawdown', tailApart: true });
  });

  it('what is done to the beverage is told in the order of doing, and as a change', () => {
    const served = {
      ...PLAIN,
      decants: true,
      beverageMixed: 'stir' as const,
      bypassG: 20,
      needlesDry: true,
    };
    expect(servingOf(served).map(({ task }) => task)).toEqual(['bypass', 'mix', 'decant']);
    expect(servingOf(PLAIN)).toEqual([]);
    expect(planChanges({ from: PLAIN, to: { ...served, bypassG: 0 } })).toEqual([
      { figure: 'dry-bed', from: 'shaken flat', to: 'needled' },
      { figure: 'serving', from: 'as it is', to: 'stirred, decanted' },
    ]);
    expect(addedWaterG({ plan: served, events: [] })).toBe(20);
    const leftOut = (serving: 'mix' | 'bypass') => [{ kind: 'not-served' as const, atS: 200, serving }];
    expect(addedWaterG({ plan: served, events: leftOut('mix') })).toBe(20);
    expect(addedWaterG({ plan: served, events: leftOut('bypass') })).toBe(0);
    const tasks = preparationOf({ plan: served, rinseG: 0 }).map(({ task }) => task);
    expect(tasks.indexOf('needles-dry')).toBe(tasks.indexOf('level') + 1);
  });

  it('a stream is called by what it is nearest to', () => {
    expect([1, 5, 6.5, 8, 10.5, 20].map(streamOf)).toEqual([
      'thin',
      'thin',
      'usual',
      'usual',
      'full',
      'full',
    ]);
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

describe('a pour that waits for something seen', () => {
  const waiting = (index: number) => ({
    ...PLAIN,
    pours: PLAIN.pours.map((pour, at) => (at === index ? { ...pour, startsWhen: 'through' as const } : pour)),
  });

  it('is told where two plans differ in it alone', () => {
    expect(planChanges({ from: PLAIN, to: waiting(1) })).toMatchObject([
      { from: 'as usual', to: 'when all of it is through at 2' },
    ]);
  });

  it('starts by the clock once it is the first, and hands its waiting to neither half of itself', () => {
    const [first] = valueOf(removePour({ pours: waiting(1).pours, index: 0 }));
    expect(first).not.toHaveProperty('startsWhen');
    const split = valueOf(splitPour({ plan: waiting(1), index: 1 })).pours;
    expect(split[1]).toHaveProperty('startsWhen', 'through');
    expect(split[2]).not.toHaveProperty('startsWhen');
    expect(split).toHaveLength(4);
  });
});
