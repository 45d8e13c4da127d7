import { describe, expect, it } from 'vitest';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { benchSteps } from '../bench/benchSteps.js';
import { recordedBrew } from './recordedBrew.js';

const record = {
  plan: {
    ...PLAN,
    pours: PLAN.pours.map((pour, index) => ({
      ...pour,
      agitation: index === 0 ? ('swirl' as const) : ('none' as const),
    })),
  },
  events: [],
  doseG: PLAN.doseG,
  beverageG: 220,
  tdsPercent: 1.35,
  roastAgeDays: 9,
};
const steps = benchSteps(record.plan);
const marked = steps.map((step, stepIndex) => ({
  stepIndex,
  atS: step.plannedS + (stepIndex === 0 ? 0 : 4),
  skipped: step.kind === 'agitate',
  totalG: step.kind === 'pour' ? step.totalG + 3 : null,
}));

describe('a recorded brew as evidence', () => {
  it('is brewed as it was done', () => {
    const { brew, drawdownS } = recordedBrew({ ...record, steps: marked }, CONE_KIT);
    const [first, second] = brew.pours;
    expect(first?.amountG).toBeCloseTo((PLAN.pours[0]?.amountG ?? 0) + 3, 9);
    // Three over at both ends leaves the second pour's own amount as planned.
    expect(second?.amountG).toBeCloseTo(PLAN.pours[1]?.amountG ?? 0, 9);
    expect(second?.startS).toBe((PLAN.pours[1]?.startS ?? 0) + 4);
    expect(brew.agitation).toEqual([]);
    expect(drawdownS).toBe(PLAN.drawdownS + 4);
  });

  it('is brewed as planned where nothing was marked, and drained nobody knows when', () => {
    const { brew, drawdownS } = recordedBrew({ ...record, steps: [] }, CONE_KIT);
    expect(brew.pours.map(({ amountG }) => amountG)).toEqual(PLAN.pours.map(({ amountG }) => amountG));
    expect(brew.agitation).toHaveLength(1);
    expect(drawdownS).toBeNull();
  });

  it('weighs its strength by what its readings repeat to', () => {
    expect(recordedBrew({ ...record, steps: [], tdsComparablePercent: 0.013 }, CONE_KIT).standard).toEqual({
      tdsPercent: 0.013,
    });
    expect(recordedBrew({ ...record, steps: [] }, CONE_KIT).standard).toBeUndefined();
  });

  it('passes on what a scale under the server saw', () => {
    const outflow = [{ atS: 60, beverageG: 55 }];
    expect(recordedBrew({ ...record, steps: [], outflow }, CONE_KIT).trace).toEqual(outflow);
    expect(recordedBrew({ ...record, steps: [], outflow: [] }, CONE_KIT).trace).toBeUndefined();
  });

  it('says nothing of the draining when the brewer was lifted', () => {
    const lifted = { ...record, plan: { ...record.plan, lifts: true }, steps: marked };
    expect(recordedBrew(lifted, CONE_KIT).drawdownS).toBeNull();
  });
});
