import * as afterBrews from './bench/afterBrew.js';
import * as traces from './bench/compareTrace.js';
import * as beliefs from './bench/drainBelief.js';
import * as drains from './brewModel/plainWaterDrain.js';
import * as brews from './brewModel/simulateBrew.js';
import * as lots from './calibration/calibrateLot.js';
import * as drainTests from './calibration/drainTest.js';
import * as forecasts from './calibration/forecastBrew.js';
import { FINDINGS } from './change/findings.js';
import { LEVERS } from './change/levers.js';
import * as changes from './change/proposeChange.js';
import * as extractions from './extraction/checkedExtraction.js';
import * as refractometers from './extraction/refractometer.js';
import * as plans from './forecast/forecastPlan.js';
import * as outcomes from './forecast/outcome.js';
import * as scales from './forecast/scalePlan.js';
import * as spreads from './forgiveness/forgiveness.js';
import * as series from './fractions/alignSeries.js';
import * as cups from './fractions/cumulative.js';
import * as waters from './fractions/keepWanted.js';
import * as turns from './fractions/turn.js';
import * as curves from './grind/grinderCurve.js';
import * as distributions from './grind/grindDistribution.js';
import * as drainTimes from './grind/grindFromDrainTimes.js';
import * as sieves from './grind/sieveGrind.js';
import * as settings from './grind/translateSetting.js';
import { choice, fields, guarded, list, nullable, optional } from './input/shape.js';
import * as shapes from './input/shapes.js';
import * as simulated from './instruments/simulatedBrewer.js';
import * as statistics from './statistics/checkedStatistics.js';
import * as chemistry from './water/checkedWater.js';
import * as concentrates from './water/concentrates.js';
import { SALTS } from './water/salts.js';

// What the core hands out, refusing input that is not even of its shape: each is the function of the same name, whose
// docstring says what it does. Inside the core the bare ones are called.

const READINGS = list('number');
const MEASURED_FIGURE = nullable(fields({ value: 'number', sd: 'number' }));

/** {@link extractions.ratioLineTdsPercent} */
export const ratioLineTdsPercent = guarded(
  fields({ yieldPercent: 'number', waterPerDose: 'number', retainedGPerG: optional('number') }),
  extractions.ratioLineTdsPercent,
);
const THREE_FIGURES = fields({ tdsPercent: 'number', beverageG: 'number', doseG: 'number' });
/** {@link extractions.yieldUncertainty} */
export const yieldUncertainty = guarded(
  fields({ measured: THREE_FIGURES, standard: THREE_FIGURES }),
  extractions.yieldUncertainty,
);
/** {@link refractometers.correctForZero} */
export const correctForZero = guarded(
  fields({ tdsPercents: READINGS, zeroBeforePercent: 'number', zeroAfterPercent: optional('number') }),
  refractometers.correctForZero,
);
/** {@link refractometers.sampleNotes} */
export const sampleNotes = guarded(
  fields({
    sampleC: 'number',
    zeroedAtC: nullable('number'),
    instrument: fields({ lowestC: 'number', highestC: 'number' }),
  }),
  refractometers.sampleNotes,
);
/** {@link refractometers.outlyingReading} */
export const outlyingReading = guarded(fields({ tdsPercents: READINGS }), refractometers.outlyingReading);

const BICARBONATES = ['sodium bicarbonate', 'potassium bicarbonate'];
const METHOD = choice(['triangle', 'duo-trio', 'paired']);
/** {@link statistics.discriminationPValue} */
export const discriminationPValue = guarded(
  fields({ method: METHOD, assessors: 'number', correct: 'number' }),
  statistics.discriminationPValue,
);
/** {@link statistics.fewestCorrect} */
export const fewestCorrect = guarded(
  fields({ method: METHOD, assessors: 'number', alpha: 'number' }),
  statistics.fewestCorrect,
);
/** {@link statistics.servingOrders} */
export const servingOrders = guarded(fields({ sampleCount: 'number' }), statistics.servingOrders);
/** {@link statistics.friedmanTest} */
export const friedmanTest = guarded(fields({ scores: list(READINGS) }), statistics.friedmanTest);
/** {@link statistics.individualsChart} */
export const individualsChart = guarded(
  fields({ values: READINGS, baselineCount: optional('number') }),
  statistics.individualsChart,
);

/** {@link chemistry.waterChemistry} */
export const waterChemistry = guarded(fields({ saltsMgPerL: fields({}) }), chemistry.waterChemistry);
/** {@link chemistry.saltsForWater} */
export const saltsForWater = guarded(
  fields({
    target: shapes.WATER,
    hardnessSalt: choice(Object.keys(SALTS).filter((salt) => !BICARBONATES.includes(salt))),
    alkalinitySalt: choice(BICARBONATES),
  }),
  chemistry.saltsForWater,
);
/** {@link chemistry.blendWaters} */
export const blendWaters = guarded(
  fields({ first: shapes.WATER, second: shapes.WATER, target: shapes.WATER }),
  chemistry.blendWaters,
);
/** {@link concentrates.concentrateDoses} */
export const concentrateDoses = guarded(
  fields({
    base: shapes.WATER,
    target: shapes.WATER,
    concentrates: list(
      fields({ hardnessPerG: 'number', alkalinityPerG: 'number', mostG: optional('number') }),
    ),
  }),
  concentrates.concentrateDoses,
);

/** {@link distributions.grindDistribution} */
export const grindDistribution = guarded(shapes.GRIND, distributions.grindDistribution);
/** {@link distributions.blendGrinds} */
export const blendGrinds = guarded(
  fields({ first: shapes.GRIND, second: shapes.GRIND, firstShare: 'number' }),
  distributions.blendGrinds,
);
/** {@link sieves.sieveGrind} */
export const sieveGrind = guarded(
  fields({ grind: shapes.GRIND, doseG: 'number', apertureUm: 'number', passing: optional('number') }),
  sieves.sieveGrind,
);
/** {@link curves.grinderCurve} */
export const grinderCurve = guarded(
  fields({ points: list(fields({ setting: 'number', grindUm: 'number', sdUm: optional('number') })) }),
  curves.grinderCurve,
);
/** {@link drainTimes.grindFromDrainTimes} */
export const grindFromDrainTimes = guarded(
  fields({
    brew: shapes.CONDITIONS,
    known: fields({ grindUm: 'number', drawdownS: 'number' }),
    drained: list(fields({ setting: 'number', drawdownS: 'number' })),
  }),
  drainTimes.grindFromDrainTimes,
);
/** {@link settings.settingForSize} */
export const settingForSize = guarded(
  fields({ curve: shapes.CURVE, grindUm: 'number', sdUm: optional('number') }),
  settings.settingForSize,
);
/** {@link settings.translateSetting} */
export const translateSetting = guarded(
  fields({ from: shapes.CURVE, to: shapes.CURVE, setting: 'number' }),
  settings.translateSetting,
);

/** {@link brews.simulateBrew} */
export const simulateBrew = guarded(shapes.BREW, brews.simulateBrew);
/** {@link drains.plainWaterDrainS} */
export const plainWaterDrainS = guarded(
  fields({ brewer: shapes.BREWER, paperPerM: 'number', waterG: 'number', leftG: 'number', waterC: 'number' }),
  drains.plainWaterDrainS,
);
const DRAIN_TEST = fields({
  brewer: shapes.BREWER,
  paperPerM: 'number',
  waterG: 'number',
  leftG: 'number',
  waterC: 'number',
  seconds: 'number',
});
/** {@link drainTests.paperFromDrainTest} */
export const paperFromDrainTest = guarded(DRAIN_TEST, drainTests.paperFromDrainTest);

/** {@link lots.calibrateLot} */
export const calibrateLot = guarded(
  fields({
    brews: list(shapes.MEASURED_BREW),
    prior: optional(shapes.PRIOR),
    drainTests: optional(list(DRAIN_TEST)),
  }),
  lots.calibrateLot,
);
const SLOPES = fields({ drawdown: READINGS, tds: READINGS, beverage: READINGS });
/** {@link forecasts.forecastBrew} */
export const forecastBrew = guarded(
  fields({ calibration: shapes.CALIBRATION, brew: shapes.CONDITIONS, slopes: optional(SLOPES) }),
  forecasts.forecastBrew,
);
/** {@link forecasts.brewSlopes} */
export const brewSlopes = guarded(
  fields({ calibration: shapes.CALIBRATION, brew: shapes.CONDITIONS }),
  forecasts.brewSlopes,
);
/** {@link changes.proposeChange} */
export const proposeChange = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    calibration: shapes.CALIBRATION,
    targets: shapes.TARGETS,
    limits: shapes.LIMITS,
    last: optional(nullable(shapes.LAST_BREW)),
    findings: optional(list(choice(FINDINGS))),
    schools: optional(shapes.SCHOOLS_TAKEN),
    levers: optional(list(choice(LEVERS))),
    roastAgeDays: optional('number'),
  }),
  changes.proposeChange,
);
/** {@link plans.forecastPlan} */
export const forecastPlan = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    factors: optional(shapes.FACTORS),
    roastAgeDays: optional('number'),
  }),
  plans.forecastPlan,
);
/** {@link scales.scalePlan} */
export const scalePlan = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    toKit: optional(shapes.KIT),
    doseG: 'number',
    factors: optional(shapes.FACTORS),
  }),
  scales.scalePlan,
);
/** {@link outcomes.brewOutcome} */
export const brewOutcome = guarded(
  fields({
    calibration: shapes.CALIBRATION,
    done: fields({
      plan: shapes.PLAN,
      steps: shapes.STEPS_DONE,
      events: shapes.EVENTS,
      doseG: 'number',
      roastAgeDays: 'number',
    }),
    kit: shapes.KIT,
    measured: fields({
      drawdownS: MEASURED_FIGURE,
      tdsPercent: MEASURED_FIGURE,
      yieldPercent: MEASURED_FIGURE,
    }),
  }),
  outcomes.brewOutcome,
);
/** {@link spreads.forgiveness} */
export const forgiveness = guarded(
  fields({
    plan: shapes.PLAN,
    kit: shapes.KIT,
    factors: optional(shapes.FACTORS),
    errors: optional(
      fields({
        grindUm: 'number',
        kettleC: 'number',
        doseG: 'number',
        pourG: 'number',
        pourS: 'number',
        paperShare: 'number',
      }),
    ),
    count: optional('number'),
    seed: optional('number'),
  }),
  spreads.forgiveness,
);
/** {@link simulated.simulatedBrewer} */
export const simulatedBrewer = guarded(
  fields({
    conditions: shapes.CONDITIONS,
    factors: shapes.FACTORS,
    bed: optional(choice(simulated.SIMULATED_BED_NAMES)),
  }),
  simulated.simulatedBrewer,
);

/** {@link cups.cumulativeFractions} */
export const cumulativeFractions = guarded(
  fields({ fractions: shapes.FRACTIONS, doseG: 'number' }),
  cups.cumulativeFractions,
);
/** {@link waters.stoppedCup} */
export const stoppedCup = guarded(
  fields({ fractions: shapes.FRACTIONS, doseG: 'number', stopS: 'number' }),
  waters.stoppedCup,
);
/** {@link waters.moveWater} */
export const moveWater = guarded(
  fields({ plan: shapes.PLAN, share: 'number', beforeS: 'number' }),
  waters.moveWater,
);
/** {@link series.alignSeries} */
export const alignSeries = guarded(
  fields({ first: shapes.FRACTIONS, second: shapes.FRACTIONS, by: choice(['time', 'mass']) }),
  series.alignSeries,
);
/** {@link turns.turnOf} */
export const turnOf = guarded(fields({ fractions: shapes.FRACTIONS }), turns.turnOf);

/** {@link traces.compareTrace} */
export const compareTrace = guarded(
  fields({
    plan: shapes.PLAN,
    trace: list(fields({ atS: 'number', totalG: 'number' })),
    agitatedAtS: optional(READINGS),
  }),
  traces.compareTrace,
);
/** {@link afterBrews.afterBrew} */
export const afterBrew = guarded(
  fields({ roomC: 'number', beverageC: optional('number') }),
  afterBrews.afterBrew,
);
/** {@link beliefs.drainBelief} */
export const drainBelief = guarded(
  fields({
    calibration: shapes.CALIBRATION,
    brew: shapes.CONDITIONS,
    seen: list(fields({ atS: 'number', shows: 'yes or no' })),
    outflow: optional(shapes.TRACE_POINTS),
  }),
  beliefs.drainBelief,
);
