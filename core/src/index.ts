// The public names of the core, by hand: what is not listed here is private to it.
export * from './vocabulary.js';
export { failure, success, valueOf, type Failure, type Result, type Success } from './result.js';

export { formatClock, formatDuration, parseDurationS } from './quantity/duration.js';
export { formatElevation, parseElevation, type ElevationRange } from './quantity/elevation.js';
export { parseMassOrMultipleG } from './quantity/massOrMultiple.js';
export { parseNumber, parseWithUnit } from './quantity/parseNumber.js';
export { formatRatio, parseRatio } from './quantity/ratio.js';
export { parseTemperatureC } from './quantity/temperature.js';
export { celsiusToFahrenheit, fahrenheitToCelsius } from './temperature/scales.js';

export {
  blendWaters,
  boilingPointC,
  mixingTemperatureC,
  saltsForWater,
  waterChemistry,
  waterDensityKgM3,
  waterViscosityPaS,
} from './water/checkedWater.js';
export { type WaterBlend, type WaterTarget } from './water/mixWater.js';
export { IONS, SALTS, type Ion, type Salt } from './water/salts.js';
export { GERMAN_DEGREE_MG_PER_L, type WaterChemistry } from './water/waterChemistry.js';

export {
  discriminationPValue,
  fewestCorrect,
  friedmanTest,
  individualsChart,
  servingOrders,
} from './statistics/checkedStatistics.js';
export { type DiscriminationMethod } from './statistics/discrimination.js';
export { type FriedmanResult } from './statistics/friedman.js';
export { type IndividualsChart, type RunRule } from './statistics/individualsChart.js';

export { BREWER_CLASSES, PAPER_PER_M } from './brewModel/hardware.js';
export { DEFAULT_LOT, simulateBrew } from './brewModel/simulateBrew.js';
export type {
  BrewerGeometry,
  BrewForecast,
  BrewModelInput,
  BrewMoment,
  LotFactors,
} from './brewModel/types.js';

export {
  brewResult,
  type AssumedYield,
  type BrewMeasurement,
  type BrewResult,
  type MeasuredYield,
} from './extraction/brewResult.js';
export {
  beverageFromRetainedG,
  diluteBeverage,
  extractionYieldPercent,
  immersionYieldPercent,
  ratioLineTdsPercent,
  yieldUncertainty,
} from './extraction/checkedExtraction.js';
export {
  CLASSIC_WINDOW,
  placeInWindow,
  type ExtractionWindow,
  type WindowSide,
} from './extraction/extractionMap.js';
export { type PercolationMeasurement } from './extraction/extractionYield.js';
export { BENCH_INSTRUMENTS, FEWEST_READINGS } from './extraction/instruments.js';
export {
  beverageFault,
  readingFault,
  READING_RANGE,
  type MeasurementFault,
} from './extraction/measurementFaults.js';
export { summariseReadings, type ReadingNote, type ReadingSummary } from './extraction/readings.js';
export { ASSUMED_RETAINED, retainedWaterGPerG } from './extraction/retainedWater.js';
export { type MeasurementUncertainty } from './extraction/yieldUncertainty.js';

export {
  addPour,
  removePour,
  setPourAmount,
  setRunningTotal,
  setWater,
  type EditReason,
} from './plan/editPours.js';
export {
  planRatio,
  planWaterG,
  pourEndS,
  roundToTenth,
  runningTotalsG,
  type BrewPlan,
  type Pour,
} from './plan/plan.js';
export { planChanges, type PlanChange } from './plan/planChanges.js';
export { planFaults, type PlanFault, type PlanFaultReason } from './plan/planFaults.js';
export { planWarnings, USUAL, type PlanWarning } from './plan/planWarnings.js';
export { staircase, staircaseTotalG, type StaircasePoint } from './plan/staircase.js';

export { grinderSettingFor, type CalibrationPoint } from './grind/grinderSetting.js';

export { type StartingFacts } from './startingRecipe/facts.js';
export { type Figure } from './startingRecipe/figures.js';
export {
  startingRecipe,
  type DerivedReason,
  type FigureReason,
  type FigureStep,
  type StartingReasons,
  type StartingRecipe,
} from './startingRecipe/startingRecipe.js';

export {
  benchMoment,
  markedTimesS,
  markNext,
  NOT_STARTED,
  undoMark,
  type BenchMark,
  type BenchMoment,
  type BenchRun,
} from './bench/benchRun.js';
export { benchSteps, type BenchStep } from './bench/benchSteps.js';
export {
  actualStaircase,
  planAgainstActual,
  pouredWaterG,
  type StepComparison,
  type StepDone,
} from './bench/planAgainstActual.js';

export { lotStage, type LotProgress } from './lot/lotStage.js';
export { roastAgeDays } from './lot/roastAge.js';

export { normalDraw, seededRandom } from './random/seededRandom.js';

export { calibrateLot, type Knowledge, type LotCalibration } from './calibration/calibrateLot.js';
export {
  conditionsOfPlan,
  type BrewConditions,
  type BrewKit,
  type LearnedFactors,
} from './calibration/conditions.js';
export { type Disagreement } from './calibration/disagreements.js';
export { type MeasuredBrew, type TracePoint } from './calibration/evidence.js';
export { forecastBrew, type CalibratedForecast, type Expected } from './calibration/forecastBrew.js';
export { lotPrior, type EarlierLot, type LotPrior } from './calibration/priors.js';
export { searcher } from './change/search.js';
export { chanceOfTarget, NEAR_ENOUGH, type Targets } from './change/targets.js';
export { LEVERS, type Lever, type Limits } from './change/levers.js';
