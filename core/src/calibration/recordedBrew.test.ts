import { describe, expect, it } from 'vitest';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { benchSteps } from '../bench/benchSteps.js';
import { evidenceFault } from './evidence.js';
import { modelledBrew } from './modelled.js';
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

  it('teaches nothing of a drain that no brew has, as where keys were pressed in a row', () => {
    const slipped = marked.map((step) => ({ ...step, atS: step.stepIndex / 10, totalG: null }));
    const evidence = recordedBrew({ ...record, steps: slipped }, CONE_KIT);
    expect(evidence.drawdownS).toBeNull();
    expect(evidenceFault([evidence])).toBeNull();
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

  it('counts cups read one by one as the one cup that they make, each a reading of its own', () => {
    const cups = [
      { endS: 60, beverageG: 40, tdsPercent: 3.2 },
      { endS: 110, beverageG: 80, tdsPercent: 1.4 },
      { endS: 190, beverageG: 100, tdsPercent: 0.6 },
    ];
    const split = { ...record, beverageG: null, tdsPercent: null, steps: [], cups };
    const all = recordedBrew(split, CONE_KIT);
    // By hand: (40 x 3.2 + 80 x 1.4 + 100 x 0.6) / 220; 0.018 over each, shared out by mass.
    expect(all.tdsPercent).toBeCloseTo(300 / 220, 9);
    expect(all.beverageG).toBe(220);
    expect(all.brew.liftAtS).toBeUndefined();
    expect(all.standard?.tdsPercent).toBeCloseTo((0.018_03 * Math.hypot(40, 80, 100)) / 220, 5);
    expect(all.trace).toEqual([
      { atS: 60, beverageG: 40 },
      { atS: 110, beverageG: 120 },
      { atS: 190, beverageG: 220 },
    ]);
    const two = recordedBrew(
      { ...split, cups: cups.map((cup, at) => (at === 2 ? { ...cup, tdsPercent: null } : cup)) },
      CONE_KIT,
    );
    expect(two.tdsPercent).toBeCloseTo(240 / 120, 9);
    expect(two.brew.liftAtS).toBe(110);
    expect(two.trace).toHaveLength(3);
    const none = recordedBrew(
      { ...split, cups: cups.map((cup) => ({ ...cup, tdsPercent: null })) },
      CONE_KIT,
    );
    expect(none.tdsPercent).toBeNull();
  });

  it('leaves out a sip and what is as strong as no brew: the lot’s other brews stay evidence', () => {
    const cup = { endS: 45, beverageG: 20, tdsPercent: 12 };
    const split = { ...record, beverageG: null, tdsPercent: null, steps: [] };
    for (const cups of [[cup], [{ ...cup, beverageG: 0.4, tdsPercent: 8 }], [{ ...cup, endS: 5000 }]]) {
      const brew = recordedBrew({ ...split, cups }, CONE_KIT);
      expect(brew.tdsPercent).toBeNull();
      expect(evidenceFault([brew])).toBeNull();
    }
  });

  it('runs on past a lift in what a scale under the server sees', () => {
    const brew = recordedBrew({ ...record, steps: [] }, CONE_KIT).brew;
    const even = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };
    const [whole, lifted] = [brew, { ...brew, liftAtS: 100 }].map((each) => modelledBrew(each, even, [600]));
    expect(lifted?.traceG[0]).toBeCloseTo(whole?.traceG[0] ?? NaN, 6);
    expect(lifted?.beverageG).toBeLessThan((whole?.beverageG ?? NaN) - 20);
  });

  it('prefers the mixed cup to its parts, where it was read', () => {
    const cups = [{ endS: 60, beverageG: 40, tdsPercent: 3.2 }];
    expect(recordedBrew({ ...record, steps: [], cups }, CONE_KIT).tdsPercent).toBe(1.35);
  });

  it('adds nothing to cups that were kept apart, and ends where a lifted brewer was read', () => {
    const cups = [{ endS: 170, beverageG: 200, tdsPercent: 1.5 }];
    const lifted = { ...record.plan, lifts: true, bypassG: 20 };
    const { brew } = recordedBrew({ ...record, plan: lifted, tdsPercent: null, steps: [], cups }, CONE_KIT);
    expect(brew.bypassG).toBeUndefined();
    expect(brew.liftAtS).toBe(170);
  });

  it('says nothing of the draining when the brewer was lifted', () => {
    const lifted = { ...record, plan: { ...record.plan, lifts: true }, steps: marked };
    expect(recordedBrew(lifted, CONE_KIT).drawdownS).toBeNull();
  });
});
