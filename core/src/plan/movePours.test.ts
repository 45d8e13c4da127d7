import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../result.js';
import { keepLocked, LOCKS, type Lock } from './keepLocked.js';
import { joinWithNext, moveDrawdown, movePourEnd, movePourStart, splitPour } from './movePours.js';
import { planRatio, planWaterG, runningTotalsG, type BrewPlan, type Pour } from './plan.js';
import { planFaults } from './planFaults.js';

const pour = (startS: number, amountG: number, flowGps = 8): Pour => ({
  startS,
  amountG,
  flowGps,
  agitation: 'none',
  isBloom: startS === 0,
});
const PLAN: BrewPlan = {
  doseG: 16,
  kettleC: 94,
  grindUm: 700,
  pours: [pour(0, 40), pour(40, 100), pour(80, 116)],
  drawdownS: 165,
};

describe('moving pours on the drawing board', () => {
  it('moves a start, no further than the neighbours', () => {
    expect(movePourStart({ plan: PLAN, index: 1, startS: 45 }).pours[1]?.startS).toBe(45);
    // The bloom runs until 5 s; pour 2 takes 12.5 s and pour 3 begins at 80 s.
    expect(movePourStart({ plan: PLAN, index: 1, startS: 0 }).pours[1]?.startS).toBe(5);
    expect(movePourStart({ plan: PLAN, index: 1, startS: 200 }).pours[1]?.startS).toBe(67);
    expect(movePourStart({ plan: PLAN, index: 0, startS: 20 })).toEqual(PLAN);
  });

  it('moves an end up: the next pour gives the water', () => {
    const moved = valueOf(movePourEnd({ plan: PLAN, index: 1, totalG: 160 }));
    expect(runningTotalsG(moved)).toEqual([40, 160, 256]);
  });

  it('moves an end along the clock: the flow follows', () => {
    const moved = valueOf(movePourEnd({ plan: PLAN, index: 1, endS: 60 }));
    expect(moved.pours[1]?.flowGps).toBe(5);
    // Held where a hand stops: 25 g/s at most, and the next pour's start at the latest.
    expect(valueOf(movePourEnd({ plan: PLAN, index: 1, endS: 41 })).pours[1]?.flowGps).toBe(25);
    expect(valueOf(movePourEnd({ plan: PLAN, index: 1, endS: 300 })).pours[1]?.flowGps).toBe(2.5);
  });

  it('refuses an end that leaves the next pour nothing', () => {
    expect(movePourEnd({ plan: PLAN, index: 1, totalG: 256 })).toMatchObject({ reason: 'next-pour-used-up' });
    expect(movePourEnd({ plan: PLAN, index: 1, totalG: 40 })).toMatchObject({
      reason: 'amount-not-positive',
    });
  });

  it('never ends the brew before the water is in', () => {
    expect(moveDrawdown({ plan: PLAN, drawdownS: 10 }).drawdownS).toBe(95);
    expect(moveDrawdown({ plan: PLAN, drawdownS: 180 }).drawdownS).toBe(180);
  });

  it('splits and joins without moving water', () => {
    const split = valueOf(splitPour({ plan: PLAN, index: 1 }));
    expect(runningTotalsG(split)).toEqual([40, 90, 140, 256]);
    expect(planFaults({ plan: split })).toEqual([]);
    const joined = valueOf(joinWithNext({ plan: split, index: 1 }));
    expect(runningTotalsG(joined)).toEqual([40, 140, 256]);
    // What is done to the bed after the later pour is done after both.
    const [first, second, ...later] = PLAN.pours;
    const stirred: BrewPlan = {
      ...PLAN,
      pours: [{ ...first!, agitation: 'swirl' }, { ...second!, agitation: 'stir' }, ...later],
    };
    expect(valueOf(joinWithNext({ plan: stirred, index: 0 })).pours[0]?.agitation).toBe('stir');
    expect(joinWithNext({ plan: PLAN, index: 2 })).toMatchObject({ reason: 'last-pour' });
    const tiny = { ...PLAN, pours: [pour(0, 8)] };
    expect(splitPour({ plan: tiny, index: 0 })).toMatchObject({ reason: 'pour-too-small' });
  });

  it('keeps every plan fit to brew, whatever is dragged where', () => {
    const edit = fc.record({
      kind: fc.constantFrom('start', 'end', 'drain', 'split', 'join'),
      index: fc.nat(5),
      atS: fc.integer({ min: -50, max: 400 }),
      totalG: fc.integer({ min: -50, max: 400 }),
    });
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 12 }), (edits) => {
        let plan = PLAN;
        for (const { kind, index: wanted, atS, totalG } of edits) {
          const index = wanted % plan.pours.length;
          const isLast = index === plan.pours.length - 1;
          if (kind === 'start') plan = movePourStart({ plan, index, startS: atS });
          else if (kind === 'drain') plan = moveDrawdown({ plan, drawdownS: atS });
          else {
            const edited =
              kind === 'split'
                ? splitPour({ plan, index })
                : kind === 'join'
                  ? joinWithNext({ plan, index })
                  : movePourEnd({ plan, index, endS: atS, ...(isLast ? {} : { totalG }) });
            if (edited.ok) plan = edited.value;
          }
          expect(planWaterG(plan)).toBe(256);
          for (const each of plan.pours) {
            expect(each.amountG).toBeGreaterThan(0);
            expect(each.flowGps).toBeGreaterThanOrEqual(1);
            expect(each.flowGps).toBeLessThanOrEqual(25.1);
          }
          plan.pours.slice(1).forEach((each, at) => {
            expect(each.startS).toBeGreaterThan(plan.pours[at]?.startS ?? 0);
          });
        }
      }),
    );
  });
});

describe('locks', () => {
  const kept = (after: BrewPlan, ...locks: Lock[]) => keepLocked({ before: PLAN, after, locks });
  const moreWater = { ...PLAN, pours: [...PLAN.pours.slice(0, 2), pour(80, 132)] };

  it('hold what they name', () => {
    expect(kept({ ...PLAN, doseG: 18 }, 'dose')).toMatchObject({ reason: 'dose-locked' });
    expect(kept(moreWater, 'water')).toMatchObject({ reason: 'water-locked' });
    expect(kept({ ...PLAN, kettleC: 90 }, ...LOCKS)).toMatchObject({ ok: true });
  });

  it('of the ratio: the dose follows the water, and the water the dose', () => {
    // 272 g at 1:16 is 17 g; 18 g at 1:16 is 288 g.
    expect(valueOf(kept(moreWater, 'ratio')).doseG).toBe(17);
    expect(planWaterG(valueOf(kept({ ...PLAN, doseG: 18 }, 'ratio')))).toBe(288);
  });

  it('of ratio and one more leave no way', () => {
    expect(kept(moreWater, 'ratio', 'dose')).toMatchObject({ reason: 'dose-locked' });
    expect(kept({ ...PLAN, doseG: 18 }, 'ratio', 'water')).toMatchObject({ reason: 'water-locked' });
    const tiny = keepLocked({ before: PLAN, after: { ...PLAN, doseG: 2 }, locks: ['ratio'] });
    expect(tiny).toMatchObject({ reason: 'cannot-follow' });
  });

  it('leave the ratio within what rounding to whole grams allows', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 400 }), (doseTenths) => {
        const after = keepLocked({
          before: PLAN,
          after: { ...PLAN, doseG: doseTenths / 10 },
          locks: ['ratio'],
        });
        if (after.ok) expect(Math.abs(planRatio(after.value) - 16)).toBeLessThan(0.06);
      }),
    );
  });
});
