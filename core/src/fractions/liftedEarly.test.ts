import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planFaults } from '../plan/planFaults.js';
import { planWaterG } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { anyPlan } from '../testing/anyPlan.js';
import { PLAN } from '../testing/brews.js';
import { LATE_WATERS, liftedEarly } from './liftedEarly.js';

const lifted = (atS: number, lateWater: (typeof LATE_WATERS)[number]) =>
  liftedEarly({ plan: PLAN, atS, lateWater });
const gramsOf = (atS: number, lateWater: (typeof LATE_WATERS)[number]) =>
  valueOf(lifted(atS, lateWater)).pours.map(({ amountG }) => amountG);

describe('a plan whose brewer is lifted at the turn', () => {
  it('keeps its pours where all of them are in by then', () => {
    const plan = valueOf(lifted(110, 'left-out'));
    expect(plan).toEqual({ ...PLAN, drawdownS: 110, lifts: true });
    expect(lifted(110, 'poured-before')).toEqual(lifted(110, 'left-out'));
  });

  it('leaves later pours out, or pours their water before', () => {
    // 45 g bloom, 100 g at 40 s, 100 g at 80 s.
    expect(gramsOf(75, 'left-out')).toEqual([45, 100]);
    expect(gramsOf(78, 'poured-before')).toEqual([45, 200]);
    const four = { ...PLAN, pours: [...PLAN.pours, { ...PLAN.pours[2]!, startS: 130, amountG: 51 }] };
    const moved = valueOf(liftedEarly({ plan: four, atS: 125, lateWater: 'poured-before' }));
    expect(moved.pours.map(({ amountG }) => amountG)).toEqual([45, 125, 126]);
  });

  it('is refused where nothing but the bloom is in, where water still runs, and beyond any brew', () => {
    expect(lifted(35, 'left-out')).toMatchObject({ ok: false, reason: 'no-pour-before' });
    expect(lifted(50, 'left-out')).toMatchObject({ ok: false, reason: 'still-pouring' });
    expect(lifted(70, 'poured-before')).toMatchObject({ ok: false, reason: 'still-pouring' });
    expect(lifted(5, 'left-out')).toMatchObject({ ok: false, reason: 'out-of-range', field: 'atS' });
  });

  it('has no later ball or lid in it, and may be brewed', () => {
    fc.assert(
      fc.property(
        anyPlan,
        fc.integer({ min: 20, max: 300 }),
        fc.constantFrom(...LATE_WATERS),
        (plan, atS, lateWater) => {
          const early = liftedEarly({ plan, atS, lateWater });
          if (!early.ok) return;
          expect(early.value.ballUntilS ?? 0).toBeLessThan(atS);
          expect(planFaults({ plan: early.value }).map(({ field }) => field)).toEqual([]);
          const waterG = planWaterG(early.value);
          if (lateWater === 'poured-before') expect(waterG).toBeCloseTo(planWaterG(plan), 6);
          else expect(waterG).toBeLessThanOrEqual(planWaterG(plan) + 1e-9);
        },
      ),
    );
  });
});
