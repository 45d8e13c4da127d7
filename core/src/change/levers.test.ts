import { describe, expect, it } from 'vitest';
import { planRatio, planWaterG, type BrewPlan } from '../plan/plan.js';
import { PLAN } from '../testing/brews.js';
import { LEVERS, MOVES, withLever, type Limits } from './levers.js';

const LIMITS: Limits = { finestUm: 400, coarsestUm: 1200, hottestC: 99.6, coolestC: 80.2 };
const reachOf = (lever: keyof typeof MOVES, plan: BrewPlan = PLAN, limits: Partial<Limits> = {}) =>
  MOVES[lever].reach(plan, { ...LIMITS, ...limits });

describe('how far a lever goes', () => {
  it('of the grind: a quarter millimetre either way, as far as grinder and model go', () => {
    expect(reachOf('grind')).toEqual({ low: 450, high: 950 });
    expect(reachOf('grind', { ...PLAN, grindUm: 900 })).toEqual({ low: 650, high: 1150 });
    expect(reachOf('grind', { ...PLAN, grindUm: 1000 })).toEqual({ low: 750, high: 1200 });
    expect(reachOf('grind', PLAN, { finestUm: 600 })).toEqual({ low: 600, high: 950 });
    // What is finer than the model goes may only become coarser.
    expect(reachOf('grind', { ...PLAN, grindUm: 430 })).toEqual({ low: 430, high: 680 });
  });

  it('of two grinds: as far as the grinder goes for both', () => {
    const finer = { ...PLAN, secondGrind: { grindUm: 350, sharePercent: 30 } } as BrewPlan;
    expect(reachOf('grind', finer)).toEqual({ low: 800, high: 950 });
    const coarser = { ...PLAN, secondGrind: { grindUm: 1050, sharePercent: 30 } } as BrewPlan;
    expect(reachOf('grind', coarser)).toEqual({ low: 450, high: 800 });
  });

  it('of the kettle: from 84 to 98 °C, in whole degrees that it and the water reach', () => {
    expect(reachOf('kettle')).toEqual({ low: 84, high: 98 });
    expect(reachOf('kettle', PLAN, { hottestC: 94.7 })).toEqual({ low: 84, high: 94 });
    expect(reachOf('kettle', PLAN, { coolestC: 86.2 })).toEqual({ low: 87, high: 98 });
  });

  it('of the bloom: only where there is one, and a pour after it', () => {
    expect(reachOf('bloom')).toEqual({ low: 20, high: 70 });
    const none = { low: 0, high: 0 };
    expect(
      reachOf('bloom', { ...PLAN, pours: PLAN.pours.map((pour) => ({ ...pour, isBloom: false })) }),
    ).toEqual(none);
    expect(reachOf('bloom', { ...PLAN, pours: PLAN.pours.slice(0, 1) })).toEqual(none);
  });

  it('of ratio, pours and agitation', () => {
    expect(reachOf('ratio')).toEqual({ low: 13.5, high: 18.5 });
    expect(reachOf('pours')).toEqual({ low: 1, high: 5 });
    expect(reachOf('agitation')).toEqual({ low: 0, high: 3 });
  });
});

describe('where a plan stands', () => {
  it('is read of each lever', () => {
    expect(Object.fromEntries(LEVERS.map((lever) => [lever, MOVES[lever].valueIn(PLAN)]))).toEqual({
      grind: 700,
      // 245 g on 15 g.
      ratio: 16.3,
      kettle: 93,
      bloom: 40,
      pours: 2,
      agitation: 1,
    });
  });

  it('is where it was set, of each lever, and nothing else moved', () => {
    for (const [lever, value] of [
      ['grind', 650],
      ['ratio', 15.5],
      ['kettle', 95],
      ['bloom', 55],
      ['pours', 3],
      ['agitation', 2],
    ] as const) {
      const changed = withLever(PLAN, lever, value)!;
      expect(MOVES[lever].valueIn(changed)).toBe(value);
      for (const other of LEVERS) {
        if (other !== lever) expect(MOVES[other].valueIn(changed)).toBe(MOVES[other].valueIn(PLAN));
      }
    }
  });
});

describe('a lever that is set', () => {
  it('as another ratio changes the water and not the dose', () => {
    const changed = withLever(PLAN, 'ratio', 15)!;
    expect(changed.doseG).toBe(15);
    expect(planRatio(changed)).toBeCloseTo(15, 1);
  });

  it('as a longer bloom moves every later pour along', () => {
    expect(withLever(PLAN, 'bloom', 55)!.pours.map(({ startS }) => startS)).toEqual([0, 55, 95]);
    expect(withLever(PLAN, 'bloom', 30)!.pours.map(({ startS }) => startS)).toEqual([0, 30, 70]);
  });

  it('as other pours keeps the water after the bloom, their pace and their spacing', () => {
    const three = withLever(PLAN, 'pours', 3)!.pours;
    expect(three.map(({ startS, amountG, isBloom }) => [startS, amountG, isBloom])).toEqual([
      [0, 45, true],
      [40, 67, false],
      [80, 67, false],
      [120, 66, false],
    ]);
    const one = withLever(PLAN, 'pours', 1)!.pours;
    expect(one.map(({ startS, amountG }) => [startS, amountG])).toEqual([
      [0, 45],
      [40, 200],
    ]);
    expect(planWaterG({ pours: one })).toBe(planWaterG(PLAN));
  });

  it('as two pours of one leaves time for the first: to its end and five seconds, in whole fives', () => {
    const one = withLever(PLAN, 'pours', 1)!;
    // With no spacing to go by it is 35 s: 100 g at 6 g/s take 16.7.
    expect(withLever(one, 'pours', 2)!.pours.map(({ startS }) => startS)).toEqual([0, 40, 75]);
    const slow = { ...one, pours: one.pours.map((pour) => ({ ...pour, flowGps: 2.5 })) };
    // 100 g at 2.5 g/s take 40 s, and 5.
    expect(withLever(slow, 'pours', 2)!.pours.map(({ startS }) => startS)).toEqual([0, 40, 85]);
  });

  it('as another pour adds none that is swirled', () => {
    const swirled = {
      ...PLAN,
      pours: PLAN.pours.map((pour, index) => (index === 2 ? { ...pour, agitation: 'swirl' as const } : pour)),
    };
    expect(withLever(swirled, 'pours', 3)!.pours.map(({ agitation }) => agitation)).toEqual([
      'swirl',
      'none',
      'swirl',
      'none',
    ]);
  });

  it('as agitation begins after the bloom, goes on after the last pour, and then between', () => {
    const agitated = (plan: BrewPlan, count: number) =>
      withLever(plan, 'agitation', count)!.pours.map(({ agitation }) => agitation);
    expect(agitated(PLAN, 0)).toEqual(['none', 'none', 'none']);
    expect(agitated(PLAN, 1)).toEqual(['swirl', 'none', 'none']);
    expect(agitated(PLAN, 2)).toEqual(['swirl', 'none', 'swirl']);
    expect(agitated(PLAN, 3)).toEqual(['swirl', 'swirl', 'swirl']);
    // What is agitated already stays so, and as it is.
    const stirred = {
      ...PLAN,
      pours: PLAN.pours.map((pour, index) => ({
        ...pour,
        agitation: index === 1 ? ('stir' as const) : ('none' as const),
      })),
    };
    expect(agitated(stirred, 1)).toEqual(['none', 'stir', 'none']);
    expect(agitated(stirred, 2)).toEqual(['swirl', 'stir', 'none']);
  });

  it('as what cannot be brewed is no plan', () => {
    expect(withLever({ ...PLAN, pours: PLAN.pours.slice(0, 1) }, 'pours', 2)).toBeNull();
    // Into the pour before it.
    expect(withLever(PLAN, 'bloom', 4)).toBeNull();
  });

  it('so that its last pour comes after the planned end moves that end', () => {
    const late = withLever({ ...PLAN, drawdownS: 100 }, 'pours', 3)!;
    // 66 g at 6 g/s from 120 s on: 131 s, and ten.
    expect(late.drawdownS).toBeCloseTo(141);
    expect(withLever(PLAN, 'kettle', 94)!.drawdownS).toBe(170);
  });
});
