import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import * as core from './index.js';
import type { BrewPlan, MeasuredBrew } from './index.js';

/** Any number at all, and often one that makes sense, so that every branch is reached. */
const about = (low: number, high: number) =>
  fc.oneof(
    { weight: 4, arbitrary: fc.double({ min: low, max: high, noNaN: true }) },
    { weight: 1, arbitrary: fc.double() },
    { weight: 1, arbitrary: fc.constantFrom(0, -1, NaN, Infinity, -Infinity, 1e308, 5e-324) },
  );

const grind = fc.record({ d50Um: about(300, 1300), sigmaG: about(1.1, 2), finesShare: about(0, 0.3) });
const water = fc.record({ hardnessMgPerL: about(0, 200), alkalinityMgPerL: about(0, 100) });
const fraction = fc.record({
  startS: about(0, 60),
  endS: about(60, 120),
  beverageG: about(0, 80),
  tdsPercent: fc.option(about(0, 8)),
  wanted: fc.option(fc.boolean()),
});
const point = fc.record({ setting: about(0, 40), grindUm: about(300, 1200), sdUm: about(1, 60) });
const kit = fc.record({
  brewer: fc.constantFrom(...Object.values(core.BREWER_CLASSES)),
  paperPerM: about(1e8, 8e8),
  ambientC: about(10, 30),
  elevationM: about(0, 3000),
});
const plan: fc.Arbitrary<BrewPlan> = fc.record({
  doseG: about(10, 25),
  kettleC: about(85, 97),
  grindUm: about(500, 1000),
  drawdownS: about(120, 300),
  pours: fc.array(
    fc.record({
      startS: about(0, 90),
      amountG: about(30, 120),
      flowGps: about(4, 9),
      agitation: fc.constantFrom('none', 'swirl', 'stir'),
      isBloom: fc.boolean(),
    }),
    { maxLength: 4 },
  ),
});
const measured: fc.Arbitrary<MeasuredBrew> = fc
  .tuple(plan, kit, about(90, 260), about(1, 1.8), about(150, 330))
  .map(([of, brewKit, drawdownS, tdsPercent, beverageG]) => ({
    brew: core.conditionsOfPlan({ plan: of, kit: brewKit }),
    drawdownS,
    tdsPercent,
    beverageG,
  }));
const limits = { finestUm: 300, coarsestUm: 1400, coolestC: 80, hottestC: 99 };
const nothingKnown = core.valueOf(core.calibrateLot({ brews: [] }));

/** Every public function that answers with a result, and any input it may be given. */
const CALLS: Record<string, { call: fc.Arbitrary<() => unknown>; runs?: number }> = {
  extractionYieldPercent: {
    call: fc
      .record({ tdsPercent: about(0, 3), beverageG: about(0, 400), doseG: about(5, 40) })
      .map((input) => () => core.extractionYieldPercent(input)),
  },
  immersionYieldPercent: {
    call: fc
      .record({
        tdsPercent: about(0, 3),
        waterG: about(0, 400),
        absorbedG: about(0, 60),
        doseG: about(5, 40),
      })
      .map((input) => () => core.immersionYieldPercent(input)),
  },
  beverageFromRetainedG: {
    call: fc
      .record({ waterG: about(0, 400), doseG: about(5, 40), retainedGPerG: about(1, 3) })
      .map((input) => () => core.beverageFromRetainedG(input)),
  },
  diluteBeverage: {
    call: fc
      .record({ tdsPercent: about(0, 3), beverageG: about(0, 400), bypassG: about(0, 60) })
      .map((input) => () => core.diluteBeverage(input)),
  },
  ratioLineTdsPercent: {
    call: fc
      .record({ yieldPercent: about(0, 30), waterPerDose: about(0, 20), retainedGPerG: about(1, 3) })
      .map((input) => () => core.ratioLineTdsPercent(input)),
  },
  kettleAfterC: {
    call: fc
      .record({
        waterG: about(100, 1500),
        startC: about(60, 100),
        ambientC: about(10, 30),
        seconds: about(0, 600),
        lid: fc.constantFrom('open', 'shut'),
        elevationM: about(0, 3000),
      })
      .map((input) => () => core.kettleAfterC(input)),
  },
  decantedC: {
    call: fc
      .record({
        waterG: about(100, 1500),
        waterC: about(60, 100),
        kettleC: about(10, 90),
        kettleJPerK: about(0, 400),
      })
      .map((input) => () => core.decantedC(input)),
  },
  waterDensityKgM3: {
    call: about(0, 100).map((temperatureC) => () => core.waterDensityKgM3({ temperatureC })),
  },
  waterViscosityPaS: {
    call: about(0, 100).map((temperatureC) => () => core.waterViscosityPaS({ temperatureC })),
  },
  boilingPointC: { call: about(-100, 4000).map((elevationM) => () => core.boilingPointC({ elevationM })) },
  mixingTemperatureC: {
    call: fc
      .record({ waterG: about(10, 400), kettleC: about(60, 100), doseG: about(0, 40), coffeeC: about(0, 40) })
      .map((input) => () => core.mixingTemperatureC(input)),
  },
  waterChemistry: {
    call: about(0, 500).map((mg) => () => core.waterChemistry({ saltsMgPerL: { 'sodium bicarbonate': mg } })),
  },
  blendWaters: {
    call: fc
      .record({ first: water, second: water, target: water })
      .map((input) => () => core.blendWaters(input)),
  },
  concentrateDoses: {
    call: fc.tuple(water, water, about(0, 20), about(0, 20), about(0, 20), about(0, 20)).map(
      ([base, target, a, b, c, d]) =>
        () =>
          core.concentrateDoses({
            base,
            target,
            concentrates: [
              { hardnessPerG: a, alkalinityPerG: b },
              { hardnessPerG: c, alkalinityPerG: d },
            ],
          }),
    ),
  },
  correctForZero: {
    call: fc
      .record({
        tdsPercents: fc.array(about(0, 3)),
        zeroBeforePercent: about(-0.1, 0.1),
        zeroAfterPercent: about(-0.1, 0.1),
      })
      .map((input) => () => core.correctForZero(input)),
  },
  outlyingReading: {
    call: fc.array(about(1, 2)).map((tdsPercents) => () => core.outlyingReading({ tdsPercents })),
  },
  grindDistribution: { call: grind.map((input) => () => core.grindDistribution(input)) },
  blendGrinds: {
    call: fc
      .record({ first: grind, second: grind, firstShare: about(0, 1) })
      .map((input) => () => core.blendGrinds(input)),
  },
  sieveGrind: {
    call: fc
      .record({ grind, doseG: about(10, 40), apertureUm: about(100, 800), passing: about(0, 1) })
      .map((input) => () => core.sieveGrind(input)),
  },
  grinderCurve: {
    call: fc.array(point, { maxLength: 6 }).map((points) => () => core.grinderCurve({ points })),
  },
  plainWaterDrainS: {
    call: fc
      .record({
        brewer: fc.constant(core.BREWER_CLASSES.cone),
        paperPerM: about(1e8, 8e8),
        waterG: about(100, 400),
        leftG: about(2, 50),
        waterC: about(15, 95),
      })
      .map((input) => () => core.plainWaterDrainS(input)),
  },
  cumulativeFractions: {
    call: fc
      .array(fraction, { maxLength: 5 })
      .map((fractions) => () => core.cumulativeFractions({ fractions, doseG: 15 })),
  },
  alignSeries: {
    call: fc.tuple(fc.array(fraction, { maxLength: 5 }), fc.array(fraction, { maxLength: 5 })).map(
      ([first, second]) =>
        () =>
          core.alignSeries({ first, second, by: 'time' }),
    ),
  },
  turnOf: { call: fc.array(fraction, { maxLength: 5 }).map((fractions) => () => core.turnOf({ fractions })) },
  recut: {
    call: fc.tuple(plan, about(0, 1), about(0, 200), fc.option(about(20, 300)), fc.boolean()).map(
      ([of, share, beforeS, liftAtS, dropsBloom]) =>
        () =>
          core.recut({
            plan: of,
            cut: { liftAtS, lateWater: 'poured-before', early: { share, beforeS }, dropsBloom },
          }),
    ),
  },
  discriminationPValue: {
    call: fc.tuple(about(1, 40), about(0, 40)).map(
      ([assessors, correct]) =>
        () =>
          core.discriminationPValue({
            method: 'triangle',
            assessors: Math.round(assessors),
            correct: Math.round(correct),
          }),
    ),
  },
  blindPower: {
    call: fc
      .record({
        method: fc.constantFrom('triangle', 'duo-trio', 'paired'),
        alpha: about(0.001, 0.2),
        noticing: about(0, 1),
        assessors: about(1, 60).map(Math.round),
      })
      .map((input) => () => core.blindPower(input)),
  },
  assessorsNeeded: {
    call: fc
      .record({
        method: fc.constantFrom('triangle', 'duo-trio', 'paired'),
        alpha: about(0.001, 0.2),
        noticing: about(0, 1),
        power: about(0, 1),
      })
      .map((input) => () => core.assessorsNeeded(input)),
    runs: 10,
  },
  friedmanTest: {
    call: fc
      .array(fc.array(about(0, 10), { maxLength: 4 }), { maxLength: 5 })
      .map((scores) => () => core.friedmanTest({ scores })),
  },
  individualsChart: {
    call: fc.array(about(0, 100)).map((values) => () => core.individualsChart({ values })),
  },
  forecastPlan: {
    call: fc.tuple(plan, kit).map(
      ([of, brewKit]) =>
        () =>
          core.forecastPlan({ plan: of, kit: brewKit }),
    ),
    runs: 60,
  },
  scalePlan: {
    call: fc.tuple(plan, kit, about(5, 40)).map(
      ([of, brewKit, doseG]) =>
        () =>
          core.scalePlan({ plan: of, kit: brewKit, doseG }),
    ),
    runs: 60,
  },
  forgiveness: {
    call: fc.tuple(plan, kit).map(
      ([of, brewKit]) =>
        () =>
          core.forgiveness({ plan: of, kit: brewKit, count: 20 }),
    ),
    runs: 20,
  },
  calibrateLot: {
    call: fc.array(measured, { maxLength: 2 }).map((brews) => () => core.calibrateLot({ brews })),
    runs: 40,
  },
  simulatedBrewer: {
    call: fc.tuple(plan, kit, about(0, 300), about(0, 400)).map(([of, brewKit, toS, pouredG]) => () => {
      const conditions = core.conditionsOfPlan({ plan: of, kit: brewKit });
      const made = core.simulatedBrewer({ conditions, factors: nothingKnown.factors });
      if (!made.ok) return made;
      made.value.pass({ toS, pouredG });
      return { ok: true, value: made.value.seen() };
    }),
  },
  proposeChange: {
    call: fc.tuple(plan, kit, about(1.1, 1.6)).map(
      ([of, brewKit, tdsPercent]) =>
        () =>
          core.proposeChange({
            plan: of,
            kit: brewKit,
            calibration: nothingKnown,
            targets: { tdsPercent: { low: tdsPercent - 0.1, high: tdsPercent + 0.1 } },
            limits,
            levers: ['grind'],
          }),
    ),
    runs: 40,
  },
};

/** Every number in an answer, however deep. */
function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (value === null || typeof value !== 'object') return [];
  return Object.values(value).flatMap(numbersIn);
}

describe('the public functions', () => {
  it.each(Object.entries(CALLS))(
    '%s answers anything with a value or a reason, and no value is NaN',
    (_, { call, runs = 200 }) => {
      fc.assert(
        fc.property(call, (ask) => {
          const answer = ask() as core.Result<unknown>;
          if (answer.ok) expect(numbersIn(answer.value).every(Number.isFinite)).toBe(true);
          else expect(answer.message.length).toBeGreaterThan(10);
        }),
        { numRuns: runs },
      );
    },
  );

  it('do not touch what they are given', () => {
    const input = Object.freeze({ saltsMgPerL: Object.freeze({ 'sodium bicarbonate': 100 }) });
    expect(core.waterChemistry(input)).toMatchObject({ ok: true });
    const order = Object.freeze(
      [3, 1, 2].map((setting) => Object.freeze({ setting, grindUm: setting * 100 })),
    );
    expect(core.grinderCurve({ points: order })).toMatchObject({ ok: true });
    expect(order.map(({ setting }) => setting)).toEqual([3, 1, 2]);
  });
});

describe('what the fuzz has found', () => {
  it('2026-11: a plan that pours less than any drop drains at once, and is forecast in numbers', () => {
    const answer = core.proposeChange({
      plan: {
        doseG: 10,
        kettleC: 85,
        grindUm: 500,
        drawdownS: 120,
        pours: [{ startS: 0, amountG: 5e-324, flowGps: 4, agitation: 'none', isBloom: false }],
      },
      kit: { brewer: core.BREWER_CLASSES.cone, paperPerM: 1e8, ambientC: 0, elevationM: 0 },
      calibration: nothingKnown,
      targets: { tdsPercent: { low: 1, high: 1.2 } },
      limits,
      levers: ['grind'],
    });
    expect(numbersIn(core.valueOf(answer)).every(Number.isFinite)).toBe(true);
  });
});
