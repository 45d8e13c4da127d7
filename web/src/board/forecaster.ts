import {
  asItWaits,
  bedSeenIn,
  brewAsGoing,
  brewOutcome,
  brewSlopes,
  calibrateLot,
  conditionsOfPlan,
  drainBelief,
  expectedOfPlans,
  forecastBrew,
  forecastPlan,
  forgiveness,
  lotBrews,
  lotTaught,
  matchedGrind,
  MOST_OF_OWN,
  planFaults,
  proposeChange,
  scalePlan,
  type BenchEvent,
  type BrewDone,
  type BrewKit,
  type BrewOutcome,
  type BrewPlan,
  type BrewRecord,
  type BrewsInKit,
  type BrewSlopes,
  type BrewWarning,
  type CalibratedForecast,
  type ChangeAdvice,
  type Disagreement,
  type DrainBelief,
  type Expectation,
  type Finding,
  type Forgiveness,
  type Knowledge,
  type LastBrew,
  type LearnedFactors,
  type Limits,
  type LotCalibration,
  type LotPrior,
  type LotTaught,
  type Measured,
  type Result,
  type RuleRecord,
  type ScaledPlan,
  type Schools,
  type StepDone,
  type Targets,
  type TracePoint,
} from '@vendu/core';

/** What the board has to know before it can forecast. */
export interface BoardGround {
  kit: BrewKit;
  prior: LotPrior;
  brews: BrewRecord[];
  /** The lot's brews in other kit. */
  elsewhere: BrewsInKit[];
  roastAgeDays: number | null;
}

/** The course of a brew for drawing: one figure a second. */
interface BoardCourse {
  atS: number[];
  levelM: number[];
  slurryC: number[];
  outflowGps: number[];
  beverageG: number[];
}

export interface BoardForecast {
  plan: BrewPlan;
  /** When each pour is expected to begin, s: by the clock, or once what it waits for is seen. */
  startsS: number[];
  expected: CalibratedForecast;
  course: BoardCourse;
  /** Peak level in the brewer, m. */
  maxLevelM: number;
  beverageC: number;
  warnings: BrewWarning[];
  knowledge: Knowledge;
}

/** What is believed of a drain: by the lot alone, and with what was seen of this bed. */
export interface DrainForecast {
  asLot: DrainBelief;
  asSeen: DrainBelief;
}

/** A brew of the recipe, by its place among those that count, with a figure that the others would not have forecast. */
export interface Unlike {
  ownIndex: number;
  output: Disagreement['output'];
}

/** What a change is proposed by, beside the lot. */
export interface AskedAdvice {
  plan: BrewPlan;
  targets: Targets;
  limits: Limits;
  last: LastBrew | null;
  findings: Finding[];
  schools: Schools;
  ruleRecords: RuleRecord[];
}

interface Learned {
  kit: BrewKit;
  calibration: LotCalibration;
  roastAgeDays?: number;
}

/** By what one grind may be called the same as another. */
export interface MatchedFigures {
  /** s */
  drain: number;
  /** Percent of the dose. */
  yield: number;
}

/** No plan is refused for a drain time that a grind would need more of. */
const LONGEST_DRAIN_S = 3600;
/** The course is drawn one point a second; the model steps finer. */
const DRAWN_STEP_S = 1;
/** Brews of a forgiveness run on the board: enough to rank the causes. */
const FORGIVENESS_BREWS = 120;

/** Learns a lot once and forecasts its plans. Runs in a worker: a plan takes about ten milliseconds. */
export class Forecaster {
  private ground: Learned | null = null;
  /** Why the lot that was to be learned last could not be. */
  private trouble: string | null = null;
  /** The lot that was learned last, and what it is like: once it has a brew more it is learned on from there. */
  private last: { lotKey: string; factors: LearnedFactors } | null = null;
  /** Where the recipe's own brews begin among those learned from, and how many older ones were left out. */
  private own = { from: 0, leftOut: 0 };
  /** Of the plan that last stood still. */
  private slopes: BrewSlopes | null = null;

  /** @returns why the brews on record cannot be learned from; `null` where they can */
  learn({ kit, prior, brews, elsewhere, roastAgeDays }: BoardGround): string | null {
    const known = lotBrews(kit, brews, elsewhere);
    const ownCount = Math.min(brews.length, MOST_OF_OWN);
    this.own = { from: known.length - ownCount, leftOut: brews.length - ownCount };
    const lotKey = JSON.stringify([kit, prior, brews[0]]);
    const near = this.last?.lotKey === lotKey ? this.last.factors : undefined;
    const calibrated = calibrateLot({ brews: known, prior, ...(near && { near }) });
    this.trouble = calibrated.ok ? null : calibrated.message;
    if (!calibrated.ok) return this.trouble;
    this.last = { lotKey, factors: calibrated.value.factors };
    this.ground = {
      kit,
      calibration: calibrated.value,
      ...(roastAgeDays === null ? {} : { roastAgeDays }),
    };
    return null;
  }

  /** @returns what the lot is like, as far as its brews have taught */
  factors(): LearnedFactors {
    return this.learned().calibration.factors;
  }

  /**
   * @param isMoving - the plan is being dragged: its bands may be those of the plan it was dragged from
   * @returns what a plan will do, or why it cannot be brewed
   */
  forecast(plan: BrewPlan, isMoving = false): Result<BoardForecast> {
    const { kit, calibration, ...age } = this.learned();
    const modelled = forecastPlan({ plan, kit, factors: calibration.factors, ...age });
    if (!modelled.ok) {
      // What is wrong with a plan is said at its field, in the table.
      const isPlan = modelled.reason === 'plan-cannot-be-brewed';
      const message = isPlan ? 'the plan cannot be brewed as it stands.' : modelled.message;
      return { ok: false, reason: modelled.reason, message };
    }
    const timed = asItWaits({ plan, kit, factors: calibration.factors, ...age });
    const brew = conditionsOfPlan({ plan: timed, kit, ...age });
    if (!isMoving || this.slopes === null) {
      const slopes = brewSlopes({ calibration, brew });
      if (!slopes.ok) return slopes;
      this.slopes = slopes.value;
    }
    const expected = forecastBrew({ calibration, brew, slopes: this.slopes });
    if (!expected.ok) return expected;
    const { series, maxLevelM, warnings, beverageC } = modelled.value;
    const everyRow = Math.max(1, Math.round(DRAWN_STEP_S / ((series.atS[1] ?? 1) - (series.atS[0] ?? 0))));
    const thinned = (column: readonly number[]) => column.filter((_, row) => row % everyRow === 0);
    return {
      ok: true,
      value: {
        plan,
        startsS: timed.pours.map(({ startS }) => startS),
        expected: expected.value,
        course: {
          atS: thinned(series.atS),
          levelM: thinned(series.levelM),
          slurryC: thinned(series.slurryC),
          outflowGps: thinned(series.outflowGps),
          beverageG: thinned(series.beverageG),
        },
        maxLevelM,
        beverageC,
        warnings,
        knowledge: calibration.knowledge,
      },
    };
  }

  /** @returns when a brew under way will drain: as its lot has it, and with what was seen of its bed and outflow */
  drainOf({
    plan,
    done,
    events,
    outflow,
  }: {
    plan: BrewPlan;
    done: readonly StepDone[];
    events: readonly BenchEvent[];
    outflow: readonly TracePoint[];
  }): Result<DrainForecast> {
    const { kit, calibration, ...age } = this.learned();
    const brew = brewAsGoing({ plan, steps: done, events, ...age }, kit, calibration.factors);
    const asLot = drainBelief({ calibration, brew, seen: [] });
    if (!asLot.ok) return asLot;
    const seen = bedSeenIn(events);
    const isWatched = seen.length > 0 || outflow.length > 0;
    const asSeen = isWatched ? drainBelief({ calibration, brew, seen, outflow }) : asLot;
    if (!asSeen.ok) return asSeen;
    return { ok: true, value: { asLot: asLot.value, asSeen: asSeen.value } };
  }

  /** @returns a brew beside its forecast, and why they differ */
  outcome(done: BrewDone, measured: Measured): Result<BrewOutcome> {
    const { kit, calibration } = this.learned();
    return brewOutcome({ calibration, done, kit, measured });
  }

  /** @returns what to change next, best first; or why nothing can be said, also where the lot could not be learned */
  advise(asked: AskedAdvice): Result<ChangeAdvice> {
    if (this.trouble !== null) return { ok: false, reason: 'not-learned', message: this.trouble };
    const { kit, calibration, ...age } = this.learned();
    return proposeChange({ ...asked, kit, calibration, ...age });
  }

  /** @returns the figures of a change from one plan to another; `null` where either cannot be brewed */
  change(from: BrewPlan, to: BrewPlan): Expectation['figures'] {
    const [before, after] = [from, to].map((plan) => this.expected(plan));
    return before && after ? expectedOfPlans(before, after) : null;
  }

  /** @returns what the lot's brews have taught of a plan, and which of the recipe's own do not fit; or `null` */
  taught(plan: BrewPlan): { lot: LotTaught; unlike: Unlike[] } | null {
    const { kit, calibration, ...age } = this.learned();
    const lot = lotTaught({ plan, kit, calibration, ...age });
    if (!lot.ok) return null;
    const { from, leftOut } = this.own;
    const unlike = calibration.disagreeing
      .filter(({ brewIndex }) => brewIndex >= from)
      .map(({ brewIndex, output }) => ({ ownIndex: leftOut + brewIndex - from, output }));
    return { lot: lot.value, unlike };
  }

  /** @returns what a plan will drain in and give, as far as the lot is known; `null` where it cannot be brewed */
  figures(plan: BrewPlan): MatchedFigures | null {
    const expected = this.expected(plan);
    return expected && { drain: expected.drawdownS.value, yield: expected.yieldPercent.value };
  }

  /**
   * @param by - what is to be the same
   * @param wanted - s or percent
   * @returns the plan at the grind that gives it, its drain time with it; `null` where none does
   */
  matched(plan: BrewPlan, by: keyof MatchedFigures, wanted: number): BrewPlan | null {
    const asLong = { ...plan, drawdownS: LONGEST_DRAIN_S };
    const found = matchedGrind({
      plan: plan.lifts ? plan : asLong,
      wanted,
      valueAt: (at) => this.figures(at)?.[by] ?? null,
    });
    const figures = found && this.figures(found);
    if (!found || !figures) return null;
    // A brewer that is lifted at a time of its own still is.
    return { ...found, drawdownS: plan.lifts ? plan.drawdownS : Math.round(figures.drain) };
  }

  private expected(plan: BrewPlan): CalibratedForecast | null {
    const { kit, calibration, ...age } = this.learned();
    if (planFaults({ plan }).length > 0) return null;
    const timed = asItWaits({ plan, kit, factors: calibration.factors, ...age });
    const forecast = forecastBrew({ calibration, brew: conditionsOfPlan({ plan: timed, kit, ...age }) });
    return forecast.ok ? forecast.value : null;
  }

  forgiveness(plan: BrewPlan): Result<Forgiveness> {
    const { kit, calibration } = this.learned();
    return forgiveness({ plan, kit, factors: calibration.factors, count: FORGIVENESS_BREWS });
  }

  /** @param toKit - the brewer scaled into; the same one unless given */
  scaled(plan: BrewPlan, doseG: number, toKit?: BrewKit): Result<ScaledPlan> {
    const { kit, calibration } = this.learned();
    return scalePlan({ plan, kit, doseG, factors: calibration.factors, ...(toKit ? { toKit } : {}) });
  }

  private learned() {
    if (!this.ground) throw new Error('the forecaster was asked before it had learned the lot');
    return this.ground;
  }
}
