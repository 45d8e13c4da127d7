import { describe, expect, it } from 'vitest';
import { benchSteps } from '../bench/benchSteps.js';
import type { BenchEvent } from '../bench/benchEvents.js';
import { brewAsDone, type BrewDone } from '../calibration/brewAsDone.js';
import { calibrateLot } from '../calibration/calibrateLot.js';
import { modelledBrew } from '../calibration/modelled.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { brewOutcome, OUTCOMES, type Measured } from './outcome.js';

const steps = benchSteps(PLAN);
const onPlan: BrewDone = {
  plan: PLAN,
  steps: steps.map((step, stepIndex) => ({
    stepIndex,
    atS: step.plannedS,
    skipped: false,
    totalG: step.kind === 'pour' ? step.totalG : null,
  })),
  events: [],
  doseG: PLAN.doseG,
  roastAgeDays: 10,
};
const NOT_MEASURED: Measured = { drawdownS: null, tdsPercent: null, yieldPercent: null };
const calibration = valueOf(calibrateLot({ brews: [] }));
const outcomeOf = (done: BrewDone, measured = NOT_MEASURED) =>
  valueOf(brewOutcome({ calibration, done, kit: CONE_KIT, measured }));
const lastPour = steps.findLastIndex(({ kind }) => kind === 'pour');
const swirl = steps.findIndex(({ kind }) => kind === 'agitate');
const kettleRead = (atS: number, kettleC: number): BenchEvent => ({
  kind: 'kettle-read',
  atS,
  kettleC,
  instrument: '',
  isSimulated: false,
});

describe('why a brew came out as it did', () => {
  it('has no reasons where all was done as planned', () => {
    const { planned, asDone, effects } = outcomeOf(onPlan);
    expect(effects).toEqual([]);
    expect(asDone).toEqual(planned);
  });

  // Directions common practice (the four classic levers); sizes are the model's.
  it.each([
    ['dose', { doseG: PLAN.doseG + 1 }, { tdsPercent: 1, yieldPercent: -1 }],
    [
      'totals',
      {
        steps: onPlan.steps.map((each) =>
          each.stepIndex === lastPour ? { ...each, totalG: (each.totalG ?? 0) + 20 } : each,
        ),
      },
      { tdsPercent: -1, yieldPercent: 1, drawdownS: 1 },
    ],
    [
      'times',
      {
        steps: onPlan.steps.map((each) =>
          each.stepIndex >= lastPour ? { ...each, atS: each.atS + 25 } : each,
        ),
      },
      { drawdownS: 1, yieldPercent: 1 },
    ],
    [
      'kettle',
      {
        events: steps.flatMap((step) => (step.kind === 'pour' ? [kettleRead(step.plannedS, 86)] : [])),
      },
      { tdsPercent: -1, yieldPercent: -1 },
    ],
    [
      'agitation',
      { steps: onPlan.steps.map((each) => (each.stepIndex === swirl ? { ...each, skipped: true } : each)) },
      { yieldPercent: -1 },
    ],
    [
      'agitation',
      { events: [{ kind: 'agitated' as const, atS: 60, how: 'stir' as const }] },
      { yieldPercent: 1 },
    ],
  ] as const)(
    'gives the %s as the only reason, in the direction of the trade',
    (departure, change, signs) => {
      const { effects, planned, asDone } = outcomeOf({ ...onPlan, ...change });
      expect(effects.map((each) => each.departure)).toEqual([departure]);
      for (const [outcome, sign] of Object.entries(signs) as [(typeof OUTCOMES)[number], number][]) {
        expect(Math.sign(effects[0]?.by[outcome] ?? 0), outcome).toBe(sign);
        expect(effects[0]?.by[outcome]).toBeCloseTo(asDone[outcome].value - planned[outcome].value, 9);
      }
    },
  );

  it('a beverage that nobody added its water to is stronger, and has lost nothing', () => {
    const plan = { ...PLAN, bypassG: 30 };
    const left: BenchEvent = { kind: 'not-served', atS: 200, serving: 'bypass' };
    const { effects } = outcomeOf({ ...onPlan, plan, events: [left] });
    expect(effects.map((each) => each.departure)).toEqual(['serving']);
    expect(effects[0]?.by.tdsPercent).toBeGreaterThan(0.1);
    expect(effects[0]?.by.yieldPercent).toBeCloseTo(0, 6);
  });

  it('adds up: the reasons together are the way from the plan to what was done', () => {
    const { planned, asDone, effects } = outcomeOf({
      ...onPlan,
      doseG: PLAN.doseG - 0.4,
      steps: onPlan.steps.map((each) => ({
        ...each,
        atS: each.atS + (each.stepIndex === 0 ? 0 : 6),
        totalG: each.totalG === null ? null : each.totalG + 4,
      })),
      events: [kettleRead(0, 90)],
    });
    expect(effects.map(({ departure }) => departure)).toEqual(['dose', 'totals', 'times', 'kettle']);
    for (const outcome of OUTCOMES) {
      const sum = effects.reduce((total, { by }) => total + by[outcome], 0);
      expect(sum).toBeCloseTo(asDone[outcome].value - planned[outcome].value, 1);
    }
  });

  it('says whether what remains lies within the band, instruments included', () => {
    const { asDone } = outcomeOf(onPlan);
    const at = (missedBy: number): Measured => ({
      ...NOT_MEASURED,
      tdsPercent: { value: asDone.tdsPercent.value + missedBy, sd: 0.02 },
    });
    const edge = 1.645 * Math.hypot(asDone.tdsPercent.sd, 0.02);
    const within = outcomeOf(onPlan, at(edge * 0.99)).remainder;
    expect(within).toMatchObject({ drawdownS: null, tdsPercent: { isWithinBand: true } });
    expect(outcomeOf(onPlan, at(-edge * 1.01)).remainder.tdsPercent?.isWithinBand).toBe(false);
    expect(within.tdsPercent?.missedBy).toBeCloseTo(edge * 0.99, 9);
  });

  it('learns the day’s brew without it, and then finds it near', () => {
    const truth = { solubility: 1.08, rate: 1.2, flow: 1.3, retained: 1, steepness: 1 };
    const brewed = modelledBrew(brewAsDone(onPlan, CONE_KIT), truth);
    const measured: Measured = {
      drawdownS: { value: brewed.drawdownS, sd: 4 },
      tdsPercent: { value: brewed.tdsPercent, sd: 0.03 },
      yieldPercent: { value: brewed.yieldPercent, sd: 0.4 },
    };
    const learned = valueOf(
      calibrateLot({ brews: [{ brew: brewAsDone(onPlan, CONE_KIT), ...brewed, trace: [] }] }),
    );
    const before = outcomeOf(onPlan, measured).remainder.drawdownS?.missedBy ?? 0;
    const next = valueOf(brewOutcome({ calibration: learned, done: onPlan, kit: CONE_KIT, measured }));
    expect(Math.abs(next.remainder.drawdownS?.missedBy ?? 99)).toBeLessThan(Math.abs(before) / 4);
  });

  it('says which figure of what was done cannot be', () => {
    const { reason } = brewOutcome({
      calibration,
      done: { ...onPlan, doseG: -1 },
      kit: CONE_KIT,
      measured: NOT_MEASURED,
    }) as { reason: string };
    expect(reason).toBe('out-of-range');
  });
});
