import { describe, expect, it } from 'vitest';
import * as core from './index.js';
import { CONE_KIT, GOLDEN_BREW, PLAN } from './testing/brews.js';

// Every public function that answers with a result, and one input that it takes. Each of its fields, however deep, is
// then left out and replaced by things of another kind: no answer may throw, and none may hold NaN.

const water = { hardnessMgPerL: 60, alkalinityMgPerL: 40 };
const grind = { d50Um: 700, sigmaG: 1.5, finesShare: 0.12 };
const conditions = core.conditionsOfPlan({ plan: PLAN, kit: CONE_KIT });
const measured: core.MeasuredBrew = {
  brew: conditions,
  drawdownS: 175,
  tdsPercent: 1.3,
  beverageG: 215,
  standard: { tdsPercent: 0.02 },
  trace: [{ atS: 90, beverageG: 80 }],
};
const calibration = core.valueOf(core.calibrateLot({ brews: [measured] }));
const fractions = [
  { startS: 0, endS: 60, beverageG: 60, tdsPercent: 3, wanted: true },
  { startS: 60, endS: 120, beverageG: 80, tdsPercent: 1, wanted: true },
  { startS: 120, endS: 170, beverageG: 60, tdsPercent: 0.4, wanted: false },
];
const curve = core.valueOf(
  core.grinderCurve({
    points: [
      { setting: 2, grindUm: 500, sdUm: 20 },
      { setting: 8, grindUm: 900, sdUm: 20 },
    ],
  }),
);
const drainTest = {
  brewer: core.BREWER_CLASSES.cone,
  paperPerM: 1.8e8,
  waterG: 200,
  leftG: 5,
  waterC: 20,
  seconds: 65,
};

const CASES: Record<string, { call: (input: never) => unknown; input: unknown }> = {
  extractionYieldPercent: {
    call: core.extractionYieldPercent,
    input: { tdsPercent: 1.35, beverageG: 212, doseG: 16 },
  },
  immersionYieldPercent: {
    call: core.immersionYieldPercent,
    input: { tdsPercent: 1.3, waterG: 240, absorbedG: 20, doseG: 16 },
  },
  beverageFromRetainedG: {
    call: core.beverageFromRetainedG,
    input: { waterG: 240, doseG: 16, retainedGPerG: 2 },
  },
  diluteBeverage: { call: core.diluteBeverage, input: { tdsPercent: 1.5, beverageG: 180, bypassG: 15 } },
  ratioLineTdsPercent: {
    call: core.ratioLineTdsPercent,
    input: { yieldPercent: 20, waterPerDose: 16, retainedGPerG: 2 },
  },
  yieldUncertainty: {
    call: core.yieldUncertainty,
    input: {
      measured: { tdsPercent: 1.35, beverageG: 212, doseG: 16 },
      standard: { tdsPercent: 0.03, beverageG: 0.5, doseG: 0.1 },
    },
  },
  tdsFromBrix: { call: core.tdsFromBrix, input: { brixDegrees: 1.6 } },
  correctForZero: {
    call: core.correctForZero,
    input: { tdsPercents: [1.3, 1.31], zeroBeforePercent: 0, zeroAfterPercent: 0.01 },
  },
  sampleNotes: {
    call: core.sampleNotes,
    input: { sampleC: 25, zeroedAtC: 22, instrument: { lowestC: 10, highestC: 40 } },
  },
  outlyingReading: { call: core.outlyingReading, input: { tdsPercents: [1.3, 1.31, 1.4] } },
  discriminationPValue: {
    call: core.discriminationPValue,
    input: { method: 'triangle', assessors: 12, correct: 8 },
  },
  fewestCorrect: { call: core.fewestCorrect, input: { method: 'triangle', assessors: 12, alpha: 0.05 } },
  servingOrders: { call: core.servingOrders, input: { sampleCount: 4 } },
  blindPower: {
    call: core.blindPower,
    input: { method: 'triangle', alpha: 0.05, noticing: 0.5, assessors: 12 },
  },
  assessorsNeeded: {
    call: core.assessorsNeeded,
    input: { method: 'paired', alpha: 0.05, noticing: 0.5, power: 0.8 },
  },
  friedmanTest: {
    call: core.friedmanTest,
    input: {
      scores: [
        [1, 2],
        [2, 3],
      ],
    },
  },
  individualsChart: { call: core.individualsChart, input: { values: [1, 2, 3], baselineCount: 3 } },
  waterDensityKgM3: { call: core.waterDensityKgM3, input: { temperatureC: 90 } },
  waterViscosityPaS: { call: core.waterViscosityPaS, input: { temperatureC: 90 } },
  boilingPointC: { call: core.boilingPointC, input: { elevationM: 100 } },
  mixingTemperatureC: {
    call: core.mixingTemperatureC,
    input: {
      waterG: 100,
      kettleC: 94,
      doseG: 15,
      coffeeC: 22,
      brewerJPerK: 100,
      brewerC: 60,
      coffeeJPerKgK: 1800,
    },
  },
  kettleAfterC: {
    call: core.kettleAfterC,
    input: {
      waterG: 600,
      startC: 94,
      ambientC: 22,
      seconds: 60,
      lid: 'open',
      elevationM: 0,
      surfaceCm2: 95,
      outsideCm2: 500,
    },
  },
  decantedC: { call: core.decantedC, input: { waterG: 600, waterC: 94, kettleC: 40, kettleJPerK: 150 } },
  waterVolumeMl: { call: core.waterVolumeMl, input: { waterG: 600, temperatureC: 20 } },
  waterChemistry: { call: core.waterChemistry, input: { saltsMgPerL: { 'sodium bicarbonate': 50 } } },
  saltsForWater: {
    call: core.saltsForWater,
    input: {
      target: water,
      hardnessSalt: 'magnesium sulphate heptahydrate',
      alkalinitySalt: 'sodium bicarbonate',
    },
  },
  blendWaters: {
    call: core.blendWaters,
    input: { first: water, second: { hardnessMgPerL: 0, alkalinityMgPerL: 0 }, target: water },
  },
  concentrateDoses: {
    call: core.concentrateDoses,
    input: {
      base: { hardnessMgPerL: 0, alkalinityMgPerL: 0 },
      target: water,
      concentrates: [
        { hardnessPerG: 10, alkalinityPerG: 0, mostG: 20 },
        { hardnessPerG: 0, alkalinityPerG: 10 },
      ],
    },
  },
  grindDistribution: { call: core.grindDistribution, input: grind },
  blendGrinds: { call: core.blendGrinds, input: { first: grind, second: grind, firstShare: 0.5 } },
  sieveGrind: { call: core.sieveGrind, input: { grind, doseG: 20, apertureUm: 300, passing: 0.8 } },
  grinderCurve: {
    call: core.grinderCurve,
    input: {
      points: [
        { setting: 2, grindUm: 500, sdUm: 20 },
        { setting: 8, grindUm: 900 },
      ],
    },
  },
  statedAgainstMeasured: {
    call: core.statedAgainstMeasured,
    input: {
      stated: { setting: 4, otherSetting: 6 },
      grinder: {
        points: [
          { setting: 2, grindUm: 500, sdUm: 20 },
          { setting: 8, grindUm: 900, sdUm: 20 },
        ],
        settingStep: 1,
      },
      other: {
        points: [
          { setting: 5, grindUm: 500 },
          { setting: 9, grindUm: 900 },
        ],
        settingStep: 1,
      },
    },
  },
  grindFromDrainTimes: {
    call: core.grindFromDrainTimes,
    input: {
      brew: conditions,
      known: { grindUm: 700, drawdownS: 175 },
      drained: [{ setting: 5, drawdownS: 190 }],
    },
  },
  sizeOfSetting: { call: core.sizeOfSetting, input: { curve, setting: 5 } },
  simulateBrew: { call: core.simulateBrew, input: { ...GOLDEN_BREW, stepS: 1, longestS: 400 } },
  plainWaterDrainS: {
    call: core.plainWaterDrainS,
    input: { brewer: core.BREWER_CLASSES.cone, paperPerM: 1.8e8, waterG: 200, leftG: 5, waterC: 20 },
  },
  paperFromDrainTest: { call: core.paperFromDrainTest, input: drainTest },
  calibrateLot: {
    call: core.calibrateLot,
    input: { brews: [measured], prior: core.lotPrior({}), drainTests: [drainTest] },
  },
  forecastBrew: { call: core.forecastBrew, input: { calibration, brew: conditions } },
  brewSlopes: { call: core.brewSlopes, input: { calibration, brew: conditions } },
  proposeChange: {
    call: core.proposeChange,
    input: {
      plan: PLAN,
      kit: CONE_KIT,
      calibration,
      targets: { tdsPercent: { low: 1.25, high: 1.35 }, yieldPercent: { low: 19, high: 21 } },
      limits: { finestUm: 400, coarsestUm: 1200, coolestC: 80, hottestC: 99 },
      last: {
        tdsPercent: 1.3,
        yieldPercent: 19,
        drawdownS: 170,
        uncertainty: { tdsPercent: 0.03, yieldPercent: 0.5, drawdownS: 4 },
      },
      findings: ['sour'],
      levers: ['kettle'],
    },
  },
  forecastPlan: { call: core.forecastPlan, input: { plan: PLAN, kit: CONE_KIT, roastAgeDays: 9 } },
  scalePlan: { call: core.scalePlan, input: { plan: PLAN, kit: CONE_KIT, doseG: 20 } },
  brewOutcome: {
    call: core.brewOutcome,
    input: {
      calibration,
      done: {
        plan: PLAN,
        steps: [],
        events: [
          { kind: 'agitated', atS: 30, how: 'stir' },
          { kind: 'kettle-read', atS: 0, kettleC: 93, instrument: '', isSimulated: false },
          { kind: 'bed-shows', atS: 60 },
        ],
        doseG: 15,
        roastAgeDays: 9,
      },
      kit: CONE_KIT,
      measured: {
        drawdownS: { value: 170, sd: 4 },
        tdsPercent: { value: 1.3, sd: 0.03 },
        yieldPercent: null,
      },
    },
  },
  kitchenAdvice: {
    call: core.kitchenAdvice,
    input: {
      plan: PLAN,
      kit: CONE_KIT,
      drainedS: 200,
      taste: 'bitter',
      grinder: { points: [{ setting: 2, grindUm: 500, sdUm: 20 }], settingStep: 1, setting: 2 },
    },
  },
  forgiveness: { call: core.forgiveness, input: { plan: PLAN, kit: CONE_KIT, count: 20, seed: 1 } },
  simulatedBrewer: {
    call: core.simulatedBrewer,
    input: { conditions, factors: calibration.factors, bed: 'usual' },
  },
  cumulativeFractions: { call: core.cumulativeFractions, input: { fractions, doseG: 15 } },
  stoppedCup: { call: core.stoppedCup, input: { fractions, doseG: 15, stopS: 100 } },
  recut: {
    call: core.recut,
    input: {
      plan: PLAN,
      cut: {
        liftAtS: 130,
        lateWater: 'left-out',
        early: { share: 0.5, beforeS: 60 },
        dropsBloom: false,
      },
    },
  },
  alignSeries: { call: core.alignSeries, input: { first: fractions, second: fractions, by: 'time' } },
  turnOf: { call: core.turnOf, input: { fractions } },
  compareTrace: {
    call: core.compareTrace,
    input: { plan: PLAN, trace: [0, 2, 4, 6].map((atS) => ({ atS, totalG: atS * 6 })), agitatedAtS: [8] },
  },
  afterBrew: { call: core.afterBrew, input: { roomC: 21, beverageC: 75 } },
  drainBelief: {
    call: core.drainBelief,
    input: {
      calibration,
      brew: conditions,
      seen: [{ atS: 120, shows: false }],
      outflow: [{ atS: 60, beverageG: 40 }],
    },
  },
};

type Path = (string | number)[];

/** Every place of an input, the whole of it first. What a calibration holds inside is the core's own. */
function placesIn(value: unknown, at: Path = []): Path[] {
  if (value === null || typeof value !== 'object' || at.at(-1) === 'calibration') return [at];
  const inside = Object.entries(value).flatMap(([key, each]) =>
    placesIn(each, [...at, Array.isArray(value) ? Number(key) : key]),
  );
  return [at, ...inside];
}

function replaced(value: unknown, [key, ...rest]: Path, by: unknown): unknown {
  if (key === undefined) return by;
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) }) as Record<
    string | number,
    unknown
  >;
  copy[key] = replaced(copy[key], rest, by);
  return copy;
}

function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  if (value === null || typeof value !== 'object') return [];
  return Object.values(value).flatMap(numbersIn);
}

const WRONG: unknown[] = [undefined, null, 'x', '12', true, NaN, {}, []];

describe('an input with a field that is missing or of another kind', () => {
  it.each(Object.entries(CASES))(
    '%s is refused with its field, or answered in numbers',
    (_, { call, input }) => {
      const ask = call as (input: unknown) => core.Result<unknown> & { field?: string };
      expect(ask(input).ok).toBe(true);
      let refused = 0;
      for (const place of placesIn(input)) {
        for (const wrong of WRONG) {
          const answer = ask(replaced(input, place, wrong));
          if (answer.ok) {
            expect(
              numbersIn(answer.value).every(Number.isFinite),
              `${place.join('.')} as ${String(wrong)}`,
            ).toBe(true);
          } else {
            refused += 1;
            expect(answer.message.length).toBeGreaterThan(10);
          }
        }
      }
      expect(refused).toBeGreaterThan(0);
    },
  );

  it('is named from the outside, with what it should be', () => {
    const pours = PLAN.pours.map((pour, index) => (index === 1 ? { ...pour, flowGps: '8' } : pour));
    expect(core.forecastPlan({ plan: { ...PLAN, pours } as never, kit: CONE_KIT })).toMatchObject({
      ok: false,
      field: 'plan.pours.1.flowGps',
      allowed: 'a number',
      message: 'plan.pours.1.flowGps is "8"; allowed: a number.',
    });
    expect(core.waterDensityKgM3({} as never)).toMatchObject({ field: 'temperatureC' });
    expect(core.calibrateLot(undefined as never)).toMatchObject({ field: 'input', allowed: 'an object' });
  });
});
