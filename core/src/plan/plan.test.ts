import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { seededRandom } from '../random/seededRandom.js';
import { valueOf } from '../result.js';
import { amountsFromTotalsG } from './amountsFromTotals.js';
import { addPour, removePour, setPourAmount, setRunningTotal, setWater } from './editPours.js';
import { planRatio, planWaterG, runningTotalsG, type BrewPlan, type Pour, pourEndS } from './plan.js';
import { planChanges } from './planChanges.js';
import { planFaults } from './planFaults.js';
import { planWarnings, type KitLimits } from './planWarnings.js';
import { staircase, staircaseTotalG } from './staircase.js';

function pour(startS: number, amountG: number, more: Partial<Pour> = {}): Pour {
  return { startS, amountG, flowGps: 5, agitation: 'none', isBloom: false, ...more };
}

const PLAN: BrewPlan = {
  doseG: 15,
  kettleC: 95,
  grindUm: 700,
  drawdownS: 165,
  pours: [pour(0, 40, { isBloom: true, agitation: 'swirl' }), pour(35, 100), pour(75, 100)],
};

describe('a plan', () => {
  it('has the water of its pours, and shows the totals that people follow', () => {
    expect(runningTotalsG(PLAN)).toEqual([40, 140, 240]);
    expect(planWaterG(PLAN)).toBe(240);
    expect(planRatio(PLAN)).toBe(16);
  });

  it('sums tenths of a gram without dust', () => {
    expect(runningTotalsG({ pours: [pour(0, 0.1), pour(10, 0.2)] })).toEqual([0.1, 0.3]);
  });
});

describe('editing the pours', () => {
  it('moves water between neighbours when a running total moves', () => {
    const edited = setRunningTotal({ pours: PLAN.pours, index: 1, totalG: 150 });
    expect(edited.ok && edited.value.map((each) => each.amountG)).toEqual([40, 110, 90]);
  });

  it('changes the water when the last total moves', () => {
    const edited = setRunningTotal({ pours: PLAN.pours, index: 2, totalG: 255 });
    expect(edited.ok && planWaterG({ pours: edited.value })).toBe(255);
  });

  it('will not use up the next pour nor go below the one before', () => {
    expect(setPourAmount({ pours: PLAN.pours, index: 1, amountG: 200 })).toMatchObject({
      reason: 'next-pour-used-up',
    });
    expect(setRunningTotal({ pours: PLAN.pours, index: 1, totalG: 40 })).toMatchObject({
      reason: 'amount-not-positive',
    });
    expect(setPourAmount({ pours: PLAN.pours, index: 0, amountG: 0 })).toMatchObject({
      reason: 'amount-not-positive',
    });
  });

  it('keeps the bloom when the water changes, and hits the new water', () => {
    const edited = setWater({ pours: PLAN.pours, waterG: 255 });
    expect(edited.ok && edited.value.map((each) => each.amountG)).toEqual([40, 108, 107]);
    expect(setWater({ pours: PLAN.pours, waterG: 40 })).toMatchObject({ reason: 'water-below-bloom' });
  });

  it('gives the water of a removed pour to a neighbour', () => {
    const without = removePour({ pours: PLAN.pours, index: 2 });
    expect(without.ok && runningTotalsG({ pours: without.value })).toEqual([40, 240]);
    const noBloom = removePour({ pours: PLAN.pours, index: 0 });
    expect(noBloom.ok && noBloom.value[0]).toMatchObject({ startS: 0, amountG: 140 });
    expect(removePour({ pours: [pour(0, 100)], index: 0 })).toMatchObject({ reason: 'last-pour' });
  });

  it('splits the last pour when one is added', () => {
    const more = addPour(PLAN.pours);
    expect(more.ok && runningTotalsG({ pours: more.value })).toEqual([40, 140, 190, 240]);
    expect(more.ok && planFaults({ plan: { ...PLAN, pours: more.value, drawdownS: 200 } })).toEqual([]);
    expect(addPour([pour(0, 9)])).toMatchObject({ reason: 'pour-too-small' });
  });

  it.each([1, 2, 3, 4, 5])(
    'keeps water and never leaves an empty pour through 200 random edits (seed %i)',
    (seed) => {
      const random = seededRandom(seed);
      let pours: readonly Pour[] = PLAN.pours;
      for (let step = 0; step < 200; step++) {
        const index = Math.floor(random() * pours.length);
        const choice = Math.floor(random() * 4);
        const isLast = index === pours.length - 1;
        const before = planWaterG({ pours });
        const edited =
          choice === 0
            ? setPourAmount({ pours, index, amountG: random() * 150 })
            : choice === 1
              ? removePour({ pours, index })
              : choice === 2 && pours.length < 8
                ? addPour(pours)
                : setRunningTotal({ pours, index, totalG: Math.round(random() * 3000) / 10 });
        if (!edited.ok) continue;
        const changesWater = isLast && (choice === 0 || choice === 3);
        if (!changesWater) expect(planWaterG({ pours: edited.value })).toBeCloseTo(before, 6);
        expect(Math.min(...edited.value.map((each) => each.amountG))).toBeGreaterThan(0);
        pours = planWaterG({ pours: edited.value }) > 20 ? edited.value : PLAN.pours;
      }
    },
  );
});

describe('faults of a plan', () => {
  const faultsOf = (change: Partial<BrewPlan>, boilingC?: number) =>
    planFaults({ plan: { ...PLAN, ...change }, boilingC }).map(({ reason, field }) => `${field}: ${reason}`);

  it('are none for a sound plan', () => {
    expect(faultsOf({})).toEqual([]);
    expect(faultsOf({ drawdownS: Math.floor(Math.max(...PLAN.pours.map(pourEndS))) })).toEqual([]);
  });

  it('name the field of each', () => {
    expect(faultsOf({ pours: [] })).toEqual(['pours: no-pours']);
    expect(faultsOf({ pours: [pour(5, 100)] })).toEqual(['pours.0.startS: first-start-not-zero']);
    expect(faultsOf({ pours: [pour(0, 50), pour(60, 50), pour(30, 50)] })).toEqual([
      'pours.2.startS: pours-run-backwards',
    ]);
    expect(faultsOf({ pours: [pour(0, 100), pour(15, 50)] })).toEqual(['pours.1.startS: pours-overlap']);
    expect(faultsOf({ pours: [pour(0, 50), pour(60, 50, { isBloom: true })] })).toEqual([
      'pours.1.isBloom: bloom-not-first',
    ]);
    expect(faultsOf({ pours: [{ ...pour(0, 50), startsWhen: 'through' }, pour(60, 190)] })).toEqual([
      'pours.0.startsWhen: first-waits',
    ]);
    expect(faultsOf({ pours: [pour(0, 50), { ...pour(60, 190), startsWhen: 'through' }] })).toEqual([]);
    expect(faultsOf({ drawdownS: 90 })).toEqual(['drawdownS: drawdown-before-last-pour']);
    expect(faultsOf({ kettleC: 96 }, 94.9)).toEqual(['kettleC: kettle-above-boiling']);
  });
});

describe('warnings of a plan', () => {
  // Common practice: 1:14-1:17, 88-98 °C, bloom 1.4-3.8x, 0.9-3.1 g/s over the whole time.
  it('are none inside the usual spans and say what to do outside', () => {
    expect(planWarnings(PLAN)).toEqual([]);
    const odd = {
      ...PLAN,
      doseG: 12,
      kettleC: 84,
      drawdownS: 300,
      pours: [pour(0, 50, { isBloom: true }), pour(40, 190)],
    };
    expect(planWarnings(odd).map(({ reason }) => reason)).toEqual([
      'ratio-unusual',
      'kettle-unusual',
      'bloom-unusual',
      'mean-flow-unusual',
    ]);
    const wide = { ...PLAN, pours: PLAN.pours.map((pour) => ({ ...pour, amountG: pour.amountG * 1.08 })) };
    const reasons = (widest: number) =>
      planWarnings(wide, { tightest: 16, widest }).map(({ reason }) => reason);
    expect(planRatio(wide)).toBeGreaterThan(17);
    expect(reasons(16)).toEqual(['ratio-unusual']);
    expect(reasons(18.5)).toEqual([]);
    expect(planWarnings(odd).every(({ advice }) => advice.length > 10)).toBe(true);
  });

  it('say what brewer and kettle do not go with, only where that is known', () => {
    const asked = { ...PLAN, lidOpensS: 20, pours: [...PLAN.pours] };
    asked.pours[1] = pour(35, 100, { flowGps: 12 });
    const told = (kit: KitLimits) => planWarnings(asked, undefined, kit).map(({ reason }) => reason);
    expect(told({})).toEqual([]);
    expect(told({ advisedLowC: null, mostFlowGps: null, lidStaysOpen: null })).toEqual([]);
    expect(told({ advisedLowC: asked.kettleC, advisedHighC: asked.kettleC })).toEqual([]);
    expect(told({ advisedHighC: asked.kettleC - 1 })).toEqual(['kettle-not-advised']);
    expect(told({ advisedLowC: asked.kettleC + 1 })).toEqual(['kettle-not-advised']);
    expect(told({ mostFlowGps: 12 })).toEqual([]);
    expect(planWarnings(asked, undefined, { mostFlowGps: 9 })[0]?.message).toBe(
      'Pour 2 is to run at 12 g/s; this kettle pours 9 g/s at most.',
    );
    expect(told({ lidStaysOpen: true })).toEqual([]);
    expect(told({ lidStaysOpen: false })).toEqual(['lid-falls-shut']);
    expect(planWarnings(PLAN, undefined, { lidStaysOpen: false })).toEqual([]);
  });
});

describe('the staircase', () => {
  const points = staircase({ pours: PLAN.pours, endS: PLAN.drawdownS });

  it('rises while a pour runs and is level between', () => {
    expect(points).toEqual([
      { atS: 0, totalG: 0 },
      { atS: 8, totalG: 40 },
      { atS: 35, totalG: 40 },
      { atS: 55, totalG: 140 },
      { atS: 75, totalG: 140 },
      { atS: 95, totalG: 240 },
      { atS: 165, totalG: 240 },
    ]);
  });

  it('can be read at any moment, and never falls', () => {
    expect(staircaseTotalG({ points, atS: 4 })).toBe(20);
    expect(staircaseTotalG({ points, atS: 20 })).toBe(40);
    expect(staircaseTotalG({ points, atS: 400 })).toBe(240);
    fc.assert(
      fc.property(fc.nat(200), fc.nat(200), (a, b) => {
        const [early, late] = [Math.min(a, b), Math.max(a, b)];
        expect(staircaseTotalG({ points, atS: late })).toBeGreaterThanOrEqual(
          staircaseTotalG({ points, atS: early }),
        );
      }),
    );
  });
});

describe('what changed between two plans', () => {
  it('is nothing for equal plans, and only the changed figure otherwise', () => {
    expect(planChanges({ from: PLAN, to: { ...PLAN } })).toEqual([]);
    expect(planChanges({ from: PLAN, to: { ...PLAN, grindUm: 650 } })).toEqual([
      { figure: 'grind', from: '700 µm', to: '650 µm' },
    ]);
  });

  it('names water and ratio together, since one moves the other', () => {
    const wetter = setWater({ pours: PLAN.pours, waterG: 255 });
    const changed = planChanges({ from: PLAN, to: { ...PLAN, pours: wetter.ok ? wetter.value : [] } });
    expect(changed.map(({ figure }) => figure)).toEqual(['water', 'ratio', 'pours']);
  });

  it('tells a swirl left out', () => {
    const still = PLAN.pours.map((each) => ({ ...each, agitation: 'none' as const }));
    expect(planChanges({ from: PLAN, to: { ...PLAN, pours: still } })).toEqual([
      { figure: 'agitation', from: 'swirl after 1', to: 'none' },
    ]);
  });
});

describe('running totals and what each pour adds', () => {
  it('are each other’s inverse', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 3000 }), { minLength: 1, maxLength: 12 }), (tenths) => {
        const pours = tenths.map((tenth, index) => ({
          startS: index * 30,
          amountG: tenth / 10,
          flowGps: 6,
          agitation: 'none' as const,
          isBloom: false,
        }));
        const amounts = valueOf(amountsFromTotalsG({ totalsG: runningTotalsG({ pours }) }));
        expect(amounts).toEqual(pours.map(({ amountG }) => amountG));
      }),
    );
  });

  it('name the total that does not rise', () => {
    expect(amountsFromTotalsG({ totalsG: [50, 150, 150] })).toMatchObject({
      reason: 'totals-must-rise',
      field: 'totalsG.2',
      allowed: 'above 150 g',
    });
    expect(amountsFromTotalsG({ totalsG: [NaN] })).toMatchObject({ ok: false });
  });
});
