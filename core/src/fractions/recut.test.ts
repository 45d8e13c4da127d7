import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planFaults } from '../plan/planFaults.js';
import { planWaterG, type BrewPlan } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { anyPlan } from '../testing/anyPlan.js';
import { PLAN } from '../testing/brews.js';
import { LATE_WATERS } from './liftedEarly.js';
import { recut, type Recut } from './recut.js';

const AS_IT_IS: Recut = { liftAtS: null, lateWater: 'left-out', early: null, dropsBloom: false };
const cut = (change: Partial<Recut>, plan: BrewPlan = PLAN) =>
  recut({ plan, cut: { ...AS_IT_IS, ...change } });
const poursOf = (change: Partial<Recut>) =>
  valueOf(cut(change)).pours.map(({ startS, amountG }) => [startS, amountG]);

// 45 g bloom, 100 g at 40 s, 100 g at 80 s.
describe('a plan as the cups ask for it', () => {
  it('is as it was where nothing is asked', () => expect(valueOf(cut({}))).toEqual(PLAN));

  it('without its bloom begins with the pour after it, and ends as much sooner', () => {
    const plan = valueOf(cut({ dropsBloom: true }));
    expect(poursOf({ dropsBloom: true })).toEqual([
      [0, 145],
      [40, 100],
    ]);
    expect(plan.pours.every(({ isBloom }) => !isBloom)).toBe(true);
    expect(plan.drawdownS).toBe(PLAN.drawdownS - 40);
    expect(cut({ dropsBloom: true }, plan)).toEqual({ ok: true, value: plan });
    expect(cut({ dropsBloom: true }, { ...PLAN, pours: PLAN.pours.slice(0, 1) })).toMatchObject({
      ok: false,
      reason: 'no-pour-after',
    });
  });

  it('has three quarters of its water before a time, no bloom, and is lifted: all at once', () => {
    const asked = { dropsBloom: true, early: { share: 0.75, beforeS: 35 }, liftAtS: 75 };
    expect(poursOf(asked)).toEqual([
      [0, 184],
      [40, 61],
    ]);
    expect(valueOf(cut(asked))).toMatchObject({ drawdownS: 75, lifts: true });
  });

  it('says what cannot be, whichever step it is', () => {
    expect(cut({ early: { share: 0.1, beforeS: 60 } })).toMatchObject({ reason: 'bloom-is-more' });
    expect(cut({ early: { share: 0.5, beforeS: 10 } })).toMatchObject({ reason: 'no-pour-before' });
    expect(cut({ liftAtS: 50 })).toMatchObject({ reason: 'still-pouring' });
  });

  it('may be brewed whatever is asked, and pours no drop more', () => {
    const any = fc.record({
      liftAtS: fc.option(fc.integer({ min: 20, max: 300 })),
      lateWater: fc.constantFrom(...LATE_WATERS),
      early: fc.option(
        fc.record({
          share: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
          beforeS: fc.integer({ min: 1, max: 200 }),
        }),
      ),
      dropsBloom: fc.boolean(),
    });
    fc.assert(
      fc.property(anyPlan, any, (plan, asked) => {
        const done = recut({ plan, cut: asked });
        if (!done.ok) return;
        expect(planFaults({ plan: done.value })).toEqual([]);
        expect(planWaterG(done.value)).toBeLessThanOrEqual(planWaterG(plan) + 0.05);
        if (asked.dropsBloom) expect(done.value.pours.some(({ isBloom }) => isBloom)).toBe(false);
      }),
    );
  });
});
