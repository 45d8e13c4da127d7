// The public names of the core, by hand: what is not listed here is private to it.
export * from './vocabulary.js';
export { type OutOfRange } from './input/ranges.js';
export { failure, success, valueOf, type Failure, type Result, type Success } from './result.js';

export { formatClock, formatDuration, parseDurationS } from './quantity/duration.js';
export {
  elevationOf,
  elevationWords,
  formatElevation,
  keptElevation,
  parseElevation,
  type Elevation,
  type KeptElevation,
} from './quantity/elevation.js';
export { parseMassOrMultipleG } from './quantity/massOrMultiple.js';
export { parseNumber, parseWithUnit } from './quantity/parseNumber.js';
export { formatRatio, parseRatio } from './quantity/ratio.js';
export { parseMassG, type MassReason } from './quantity/mass.js';
export { parseTemperatureC } from './quantity/temperature.js';
export { celsiusToFahrenheit, fahrenheitToCelsius } from './temperature/scales.js';

export {
  boilingPointC,
  mixingTemperatureC,
  waterDensityKgM3,
  waterViscosityPaS,
} from './water/checkedWater.js';
export { type Concentrate, type ConcentrateDoses } from './water/concentrates.js';
export { decantedC, kettleAfterC, waterVolumeMl } from './water/kettle.js';
export { type WaterBlend, type WaterTarget } from './water/mixWater.js';
export { IONS, SALTS, type Ion, type Salt } from './water/salts.js';
export { GERMAN_DEGREE_MG_PER_L, type WaterChemistry } from './water/waterChemistry.js';

export { bradleyTerry, type PairStanding } from './statistics/bradleyTerry.js';
export { type DiscriminationMethod } from './statistics/discrimination.js';
export { type FriedmanResult } from './statistics/friedman.js';
export { type IndividualsChart } from './statistics/individualsChart.js';
export { type RunRule } from './statistics/runRules.js';

export { MODEL_VERSION } from './brewModel/constants.js';
export { BREWER_CLASSES, PAPER_PER_M } from './brewModel/hardware.js';

export { momentsOf } from './brewModel/series.js';
export { DEFAULT_LOT } from './brewModel/simulateBrew.js';
export type {
  BrewerGeometry,
  BrewForecast,
  BrewModelInput,
  BrewMoment,
  BrewSeries,
  BrewWarning,
  BrewWarningKind,
  ChilledBall,
  Grind,
  GrindBlend,
  LotFactors,
  ModelPour,
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
  SAMPLE_RANGE_C,
  type MeasurementFault,
} from './extraction/measurementFaults.js';
export { tdsFromBrix, type SampleNote } from './extraction/refractometer.js';
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
  planAllWaterG,
  planRatio,
  byTheClock,
  planWaterG,
  pouredForRatioG,
  pourEndS,
  pourKettlesC,
  roundToTenth,
  runningTotalsG,
  type AgitationHow,
  type BrewPlan,
  type SecondGrind,
  type Pour,
} from './plan/plan.js';
export { keepLocked, LOCKS, type Lock, type LockReason } from './plan/keepLocked.js';
export { joinWithNext, moveDrawdown, movePourEnd, movePourStart, splitPour } from './plan/movePours.js';
export { PROCESS_WORDS, processWords } from './lot/processWords.js';
export { labelNotesIn, labelNotesText } from './lot/labelNotes.js';
export { isOfProcess, mayHaveBase, processFaults, type Processing } from './lot/process.js';
export {
  agitationWords,
  conditionWords,
  isAlwaysAgitated,
  modelledAgitation,
  withAgitation,
} from './plan/agitating.js';
export { endWords } from './plan/endWords.js';
export { asItWaits } from './forecast/asItWaits.js';
export { boilsTooSoonM } from './card/boilingNote.js';
export { BREWER_ADVICE } from './card/brewerAdvice.js';
export { elevationAdvice } from './card/elevationAdvice.js';
export { grindName } from './card/grindName.js';
export { atOwnDose } from './card/ownDose.js';
export { ageNoteWords, type AgeNote } from './card/ageNote.js';
export { restAdvice } from './card/restAdvice.js';
export { cardModel, type CardModel, type CardVariant, type Variant } from './card/variants.js';
export { trialWords } from './card/trialWords.js';
export { waterAdvice } from './card/waterAdvice.js';
export { homeResults, type HomeResults, type RightAt } from './kitchen/homeResults.js';
export { type KitchenAdvice, type KitchenAnswer } from './kitchen/kitchenAdvice.js';
export { KITCHEN_TASTE_WORDS, KITCHEN_TASTES, type KitchenTaste } from './kitchen/kitchenTaste.js';
export { kitchenWords } from './kitchen/kitchenWords.js';
export { kitchenAdvice } from './kitchen/guarded.js';
export { guidedMoment, type GuidedMoment } from './card/guidedSteps.js';
export { pouredAtC, USUAL_ROOM_C } from './plan/openLid.js';
export { grindingOf, grindWords, type GrindPart, type Grinding } from './plan/grinding.js';
export { kettleWords, planChanges, type PlanChange } from './plan/planChanges.js';
export { amountsFromTotalsG } from './plan/amountsFromTotals.js';
export { pouringWords, startWords, USUAL_LEVEL_MM } from './plan/pouringWords.js';
export { STREAM_GPS, STREAMS, streamOf, type Stream } from './plan/stream.js';
export { throughRegulator, type Fed } from './plan/regulator.js';
export {
  readRecipeFile,
  recipeFileSchema,
  recipeFileText,
  type RecipeFile,
  type RecipeFileReason,
} from './plan/recipeFile.js';
export { planFaults, type PlanFault, type PlanFaultReason } from './plan/planFaults.js';
export { planWarnings, USUAL, type KitLimits, type PlanWarning } from './plan/planWarnings.js';
export { spanWords } from './temperature/spanWords.js';
export { grinderWord, type GrinderWord } from './grind/grinderWords.js';
export { statedAtOdds, type StatedAgainstMeasured, type StatedPair } from './grind/statedSettings.js';
export { staircase, staircaseTotalG, type StaircasePoint } from './plan/staircase.js';

export { NINE_OF_TEN } from './statistics/nineOfTen.js';
export { lotDifferences, type LotDifference, type LotOrigin } from './lot/lotDifferences.js';
export { grinderSettingFor, type CalibrationPoint } from './grind/grinderSetting.js';

export { type StartingFacts } from './startingRecipe/facts.js';
export { type Figure } from './startingRecipe/figures.js';
export { isOnAim, standingOf, targetsOf, type Aim, type Standing, type Targets } from './aim/aim.js';
export { drainAdviceS, tasteAdvice, type TasteAdvice } from './card/tasteAdvice.js';
export { cardWords, firstKettleC, stepSentence, type CardStep, type CardWords } from './card/cardWords.js';
export { aimOf, aimSourceOf, type AimSource } from './aim/aimOf.js';
export { type GrindFit } from './startingRecipe/fitGrind.js';
export { UNROASTED_AGE_DAYS } from './startingRecipe/facts.js';
export { fittedStart, type FittedStart } from './startingRecipe/fittedStart.js';
export { ratioForAim, type RatioForAim } from './startingRecipe/ratioForAim.js';
export { OFFERS, type OfferId } from './startingRecipe/offers.js';
export { type KitNote, type WaterFacts } from './startingRecipe/kitNotes.js';
export { type SchoolNote } from './startingRecipe/schoolNotes.js';
export {
  earlierLots,
  similarLots,
  type FinishedLot,
  type LotCharacter,
  type SimilarLot,
} from './startingRecipe/similarLots.js';
export {
  isHeard,
  startingRecipe,
  type DerivedReason,
  type FigureReason,
  type FigureStep,
  type StartingReasons,
  type StartingRecipe,
} from './startingRecipe/startingRecipe.js';

export { benchMoment, markedTimesS, type BenchMoment, type BenchRun } from './bench/benchRun.js';
export {
  type PouredPour,
  type PourNote,
  type TraceComparison,
  type WaterPoint,
} from './bench/compareTrace.js';
export { benchSteps, callsFor, dueWords, latenessS, type BenchStep } from './bench/benchSteps.js';
export {
  actualStaircase,
  planAgainstActual,
  markedDrainS,
  pouredWaterG,
  type StepComparison,
  type StepDone,
} from './bench/planAgainstActual.js';

export { DUE_RULES, lotDue, type DueAction, type LotDue } from './lot/lotDue.js';
export { lotStage, type LotProgress } from './lot/lotStage.js';
export { roastAgeDays } from './lot/roastAge.js';

export { normalDraw, seededRandom } from './random/seededRandom.js';

export { type Knowledge, type LotCalibration } from './calibration/calibrateLot.js';
export {
  conditionsOfPlan,
  FACTORS,
  type BrewConditions,
  type BrewKit,
  type LearnedFactors,
} from './calibration/conditions.js';
export { cupsTogether, type SplitCup } from './calibration/cupsAsEvidence.js';
export { lotBrews, MOST_OF_OWN, type BrewsInKit } from './calibration/lotBrews.js';
export { recordedBrew, type BrewRecord } from './calibration/recordedBrew.js';
export { type Disagreement } from './calibration/disagreements.js';
export { type DrainTest, type MeasuredPaper } from './calibration/drainTest.js';
export { DRAIN_BY_EYE_SD_S, type MeasuredBrew, type TracePoint } from './calibration/evidence.js';
export { type BrewSlopes, type CalibratedForecast, type Expected } from './calibration/forecastBrew.js';
export { lotPrior, type EarlierLot, type LotEvidence, type LotPrior } from './calibration/priors.js';

export { FINDINGS, type Finding } from './change/findings.js';
export { TASTE_RULES } from './change/tasteRules.js';
export {
  findingsOf,
  TASTED_FINDINGS,
  type FindingSource,
  type FoundIn,
  type Tasted,
} from './change/findingsOf.js';
export { LEVERS, type Lever, type Limits } from './change/levers.js';
export { type ChangeAdvice, type ProposedChange } from './change/proposeChange.js';
export { ruleWeight, type RuleRecord, type TrackRecord } from './change/ruleRecord.js';
export {
  EXPECTATION,
  HOPE_KINDS,
  type ChangeSource,
  type ExpectedFigure,
  type Expectation,
  type Hope,
} from './changeLife/expectation.js';
export { expectedOfChange, expectedOfPlans } from './changeLife/expectedOf.js';
export {
  changeSeen,
  type BrewSeen,
  type ChangeSeen,
  type FigureSeen,
  type HopeSeen,
} from './changeLife/changeSeen.js';
export { leversMoved, type LeverMoved } from './changeLife/leversMoved.js';
export { type LeverMove } from './change/search.js';
export { type LastBrew, type Situation } from './change/situation.js';
export { SCHOOLS, USUAL_SCHOOLS, type SchoolPoint, type Schools } from './schools/schools.js';

export { type ImpossiblePlan } from './forecast/forecastPlan.js';
export { type ScaledPlan } from './forecast/scalePlan.js';
export { type CauseSpread, type Forgiveness, type Spread } from './forgiveness/forgiveness.js';
export { ORDINARY_ERRORS, type HandErrors } from './forgiveness/handErrors.js';

export { type AlignedSeries } from './fractions/alignSeries.js';
export { type CumulativePoint } from './fractions/cumulative.js';
export { type Fraction, type FractionFault } from './fractions/fraction.js';
export { type StoppedCup } from './fractions/keepWanted.js';
export { type Turn } from './fractions/turn.js';

export { type GrindDistribution } from './grind/grindDistribution.js';

export { type CurvePoint, type GrinderCurve, type MeasuredPoint } from './grind/grinderCurve.js';
export { type SievedGrind } from './grind/sieveGrind.js';
export { grindEquivalent, type GrindEquivalent, type MeasuredGrinder } from './grind/grindEquivalent.js';
export { brewerFaults, type BrewerFault } from './kit/brewerFaults.js';
export { grinderFaults } from './kit/grinderFaults.js';
export {
  brewerGeometry,
  brimfulG,
  classMeasures,
  type BrewerBuild,
  type BrewerMeasures,
  type PaperBuild,
} from './kit/brewerGeometry.js';

export { bedSeenIn, type BedSeen } from './calibration/bedSeen.js';
export { brewAsDone, DEPARTURES, type BrewDone, type Departure } from './calibration/brewAsDone.js';
export { measuredOf } from './forecast/measured.js';
export { brewAsGoing } from './forecast/brewAsGoing.js';
export {
  OUTCOMES,
  type BrewOutcome,
  type DepartureEffect,
  type Measured,
  type OutcomeOf,
} from './forecast/outcome.js';
export { type AddedAgitation, type BenchEvent, type BenchEventKind } from './bench/benchEvents.js';
export {
  movesFrom,
  moveVersion,
  versionState,
  type VersionMove,
  type VersionState,
} from './versionLife/versionLife.js';
export { eventsOfRecord } from './bench/keptEvents.js';
export { brewSoFar, planMoved, type BrewSoFar } from './brewLog/brewSoFar.js';
export { type BrewEntry, type EntryId, type EntryKind, type Happening } from './brewLog/brewEntry.js';
export { broughtUp } from './brewLog/broughtUp.js';
export { measuredSoFar } from './brewLog/measuredSoFar.js';
export { entryName, lastToUndo, mergedLogs, withEntry, type BrewLog } from './brewLog/brewLog.js';
export { ENTRY_KINDS, entryFault, storableEntry } from './brewLog/entryFault.js';
export { BEFORE_LOGS, logOf, logOfRecord } from './brewLog/logOf.js';
export { formatSigned } from './quantity/signed.js';
export { finesTaken, weighedFinesG, withFinesWeighed } from './bench/finesTaken.js';
export { addedAgitation, kettleReadsC } from './bench/benchEvents.js';
export { type AfterBrewClock, type AfterBrewTask } from './bench/afterBrew.js';
export { isCupDue, nextCupChange, type CupRule } from './bench/cupChanges.js';
export {
  cupMarks,
  cupScheduleFault,
  cupScheduleWords,
  cupUnit,
  parseCupSchedule,
  type CupSchedule,
} from './plan/cupSchedule.js';
export { drainedS, firstDripS, outflowGps, outflowPoints, sinceStart } from './bench/outflow.js';
export { drainToCome, type DrainBelief, type DrainToCome } from './bench/drainBelief.js';
export { drainOutlook, stalledAfterS, type DrainOutlook } from './bench/drainWatch.js';
export { correctionAfter, leadOf, withTotalsMoved, type Correction, type Lead } from './bench/liveBrew.js';
export { addedWaterG, servingOf, SERVING_TASKS, type Serving, type ServingTask } from './bench/serving.js';
export { closingOf, type ClosingTask } from './bench/closing.js';
export {
  preparationOf,
  PREPARATION_TASKS,
  type Preparation,
  type PreparationTask,
} from './bench/preparation.js';
export { totalsFromTrace } from './bench/totalsFromTrace.js';
export { HANDS, type Hand, type HandName } from './instruments/hands.js';
export {
  parseInstrumentLine,
  type InstrumentReading,
  type ScaleReading,
} from './instruments/instrumentLine.js';
export { type BrewerSeen, type SimulatedBed, type SimulatedBrewer } from './instruments/simulatedBrewer.js';
export { storableTrace } from './instruments/storableTrace.js';
export { cutTo, wellFormed } from './text/wellFormed.js';
export { RECORD, storableRecord } from './bench/storableRecord.js';
export { simulatedRefractometer } from './instruments/simulatedRefractometer.js';
export { simulatedThermometer } from './instruments/simulatedThermometer.js';
export { SCALE_BENCHES, simulatedScale, type ScaleBench } from './instruments/simulatedScale.js';
export {
  flowAtGps,
  GAP_MS,
  massAtG,
  standingMassG,
  traceFault,
  traceGaps,
  type Trace,
  type TraceGap,
} from './instruments/trace.js';
export { EXERCISE_NAMES, EXERCISES, type ExerciseName } from './practice/exercises.js';
export { FASTEST_GPS, tilted, type Tilt } from './practice/pouring.js';
export { scorePractice, SCORED, type PracticeScore, type Scored } from './practice/scorePractice.js';

export { afterBrew, compareTrace } from './bench/guarded.js';
export { drainBelief } from './bench/guardedDrainBelief.js';
export { plainWaterDrainS, simulateBrew } from './brewModel/guarded.js';
export { brewSlopes, calibrateLot, forecastBrew, paperFromDrainTest } from './calibration/guarded.js';
export { proposeChange } from './change/guarded.js';
export { agreementOf, type AttributeAgreement, type StageAgreement } from './tasting/agreement.js';
export { CAFFEINE_GUIDANCE_MG, TASTED_G, tastedCaffeineMg, type SipTaken } from './tasting/caffeine.js';
export { labelMatch, type FoundBy, type LabelMatch, type LabelNoteMatch } from './tasting/labelMatch.js';
export { LEXICON, NOTE_FAMILIES, notesIn, type LexiconWord, type NoteFamily } from './tasting/lexicon.js';
export { movementOf, type AttributeMovement, type Stop } from './tasting/movement.js';
export { CUP_IS_GONE_H, openSheets, type OpenSheets } from './tasting/openSheets.js';
export {
  EMPTY_SHEET,
  isBlankSheet,
  NOT_SCORED,
  SHEET,
  type Scores,
  type SheetOf,
  type TastingSheet,
} from './tasting/sheet.js';
export { PROOF_CHECKS, USUAL_CHECKLIST, type ProofCheckId, type ProofChecklist } from './proof/checklist.js';
export { type Precision } from './proof/precision.js';
export { notCounted, type NotCounted, type ProofBrew } from './proof/proofBrew.js';
export { proofOf, type Proof, type ProofCheck, type ProofFinding, type Waiver } from './proof/proofOf.js';
export { CHECK_NAMES, findingWords, NOT_COUNTED_WORDS } from './proof/proofWords.js';
export { stageCalled, stagesDueS } from './tasting/stageCalled.js';
export { tasterHistory, type IndependentSheet, type TasterHabit } from './tasting/tasterHistory.js';
export { likesOf, type LikedBrew, type LikedFigure, type Likes } from './taught/likesOf.js';
export { type Lesson } from './taught/lesson.js';
export { type Recut } from './fractions/recut.js';
export { type LotTaught } from './taught/lotTaught.js';
export { lotTaught } from './taught/guarded.js';
export {
  correctForZero,
  outlyingReading,
  ratioLineTdsPercent,
  sampleNotes,
  yieldUncertainty,
} from './extraction/guarded.js';
export { brewOutcome, forecastPlan, scalePlan } from './forecast/guarded.js';
export { forgiveness } from './forgiveness/guarded.js';
export { alignSeries, cumulativeFractions, recut, stoppedCup, turnOf } from './fractions/guarded.js';
export {
  blendGrinds,
  grindDistribution,
  grinderCurve,
  sieveGrind,
  sizeOfSetting,
  statedAgainstMeasured,
} from './grind/guarded.js';
export { grindFromDrainTimes } from './grind/guardedDrainTimes.js';
export { simulatedBrewer } from './instruments/guarded.js';
export {
  assessorsNeeded,
  blindPower,
  discriminationPValue,
  fewestCorrect,
  friedmanTest,
  individualsChart,
  servingOrders,
} from './statistics/guarded.js';
export { blendWaters, concentrateDoses, saltsForWater, waterChemistry } from './water/guarded.js';
export { figureOf, WATCHED_FIGURES, type WatchedBrew, type WatchedFigure } from './watch/watchedBrew.js';
export { USUAL_WATCH_LIMITS, type WatchLimits } from './watch/watchLimits.js';
export { watchChart, type WatchChart, type WatchPoint, type WatchSignal } from './watch/watchChart.js';
export { recheckDue, type RecheckDue, type RecheckReason, type WatchedNow } from './watch/recheckDue.js';
export { likelyCause, type LikelyCause } from './watch/likelyCause.js';
export { batchShift, batchShiftWords, type BatchShift } from './watch/batchShift.js';
export { houseBatches, type HouseBatches } from './watch/houseBatches.js';
export { ageing, ageingAdvice, ageingWords, type Ageing } from './watch/ageing.js';
export { sharedShifts, type LotShift, type SharedShift } from './watch/sharedShifts.js';
export { causeWords, recheckWords, sharedWords, SIGNAL_WORDS, WATCHED_WORDS } from './watch/watchWords.js';
export {
  DAY_FOLLOWS,
  followWindows,
  type DayAfter,
  type DayCrew,
  type DayFollow,
  type DayJob,
  type DayPerson,
} from './day/dayJob.js';
export { type DayTask } from './day/followUps.js';
export { planDay, type DayInput, type DayPlan } from './day/planDay.js';
export { launchOutlook, outlookWords, type LaunchHistory, type LaunchOutlook } from './day/launchOutlook.js';
export {
  REPORT_WORDS,
  REPORTS,
  type Report,
  type ReportCell,
  type ReportChart,
  type ReportColumn,
  type ReportName,
  type ReportPoint,
  type ReportRow,
} from './reports/report.js';
export { dialInReport, type LotDialledIn } from './reports/dialIn.js';
export { forecastReport, type ChangeBrewed } from './reports/forecastError.js';
export { hitRateReport, type HitRates } from './reports/hitRates.js';
export { tasterReport } from './reports/tasters.js';
export { repeatingReport, type VersionProven } from './reports/repeating.js';
export { grinderReport, type LastRecheck } from './reports/grinders.js';
export { coffeeUsedReport, type LotUse } from './reports/coffeeUsed.js';

export {
  dilutionG,
  REFERENCE_KINDS,
  REFERENCE_STEPS,
  referenceRecords,
  type ReferenceKind,
  type ReferenceRecord,
} from './tasting/referenceCups.js';
export * from './comparison/index.js';
