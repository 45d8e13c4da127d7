import { describe, expect, it } from 'vitest';
import type { BenchEvent } from '../bench/benchEvents.js';
import { simulateBrew } from '../brewModel/simulateBrew.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { AMISS, bedSeenIn, withBedSeen, type BedSeen } from './bedSeen.js';
import { calibrateLot, type LotCalibration } from './calibrateLot.js';
import { conditionsOfPlan, FACTORS, lotFactorsOf, type LearnedFactors } from './conditions.js';
import { MODEL_ERROR } from './discrepancy.js';
import { forecastBrew } from './forecastBrew.js';
import { modelledBrew } from './modelled.js';

const KNOWN: LearnedFactors = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };
const brew = conditionsOfPlan({ plan: PLAN, kit: CONE_KIT });
const usual = modelledBrew(brew, KNOWN);
/** A lot that three brews have taught: its flow is known to a few per cent. */
const calibration = valueOf(
  calibrateLot({
    brews: [640, 700, 760].map((grindUm) => {
      const measured = conditionsOfPlan({ plan: { ...PLAN, grindUm }, kit: CONE_KIT });
      return { brew: measured, ...modelledBrew(measured, KNOWN), trace: [] };
    }),
  }),
);

/** When the bed shows after the last pour before a moment, in a brew whose flow is what it is, s. */
function bedShowsS(flow: number, beforeS: number): number {
  const { series } = valueOf(
    simulateBrew({
      ...brew,
      pours: brew.pours.filter(({ startS }) => startS < beforeS),
      lot: lotFactorsOf({ ...KNOWN, flow }),
    }),
  );
  const lastStartS = Math.max(...brew.pours.map(({ startS }) => startS).filter((startS) => startS < beforeS));
  const row = series.atS.findIndex((atS, at) => atS > lastStartS + 20 && (series.aboveBedG[at] ?? 0) < 0.5);
  return series.atS[row] ?? NaN;
}
const drainOf = (learned: LotCalibration) => valueOf(forecastBrew({ calibration: learned, brew })).drawdownS;
const after = (...seen: BedSeen[]) => drainOf(withBedSeen({ calibration, brew, seen }));

describe('what the bed shows while a brew runs', () => {
  it('changes little where it is as the lot has it', () => {
    const seen = { atS: bedShowsS(1, 200), shows: true };
    expect(after(seen).value).toBeCloseTo(drainOf(calibration).value, 0);
  });

  it('tells a stall before the last pour: water that stands where the bed should show', () => {
    const waiting = conditionsOfPlan({
      plan: { ...PLAN, pours: PLAN.pours.map((pour, at) => (at === 2 ? { ...pour, startS: 125 } : pour)) },
      kit: CONE_KIT,
    });
    const truthS = modelledBrew(waiting, { ...KNOWN, flow: 2.5 }).drawdownS;
    const asked = { calibration, brew: waiting, seen: [{ atS: 123, shows: false }] };
    const before = valueOf(forecastBrew({ calibration, brew: waiting })).drawdownS;
    const warned = valueOf(forecastBrew({ calibration: withBedSeen(asked), brew: waiting })).drawdownS;
    expect(truthS).toBeGreaterThan(before.value * 1.4);
    expect(before.high).toBeLessThan(truthS);
    expect(warned.value).toBeGreaterThan(before.value + 20);
    expect(warned.high).toBeGreaterThan(before.high + 20);
  });

  it('tells a rush: a bed that shows long before its time', () => {
    const flow = 0.45;
    const truthS = modelledBrew(brew, { ...KNOWN, flow }).drawdownS;
    const asPlannedS = drainOf(calibration).value;
    const warned = after({ atS: bedShowsS(flow, 200), shows: true });
    expect(warned.value).toBeLessThan(asPlannedS - 0.6 * (asPlannedS - truthS));
  });

  it('takes water that stands for news only where the bed should show', () => {
    const duringS = (usual.drawdownS + 95) / 2;
    expect(after({ atS: duringS, shows: false })).toEqual(drainOf(calibration));
    expect(after({ atS: bedShowsS(1, 200) * 1.5, shows: false }).value).toBeGreaterThan(
      drainOf(calibration).value + 10,
    );
  });

  it('never has the water gone before it was seen to stand, and never goes back', () => {
    const shownS = bedShowsS(1, 200);
    // A bed shows a little after it counts as drained.
    const lag = shownS / usual.drawdownS;
    const looks = [10, 30, 60, 100].map((lateS) => ({ atS: shownS + lateS, shows: false }));
    let beforeS = drainOf(calibration).value;
    for (const count of [1, 2, 3, 4]) {
      const { value } = after(...looks.slice(0, count));
      expect(value * lag).toBeGreaterThan(looks[count - 1]?.atS ?? Infinity);
      expect(value).toBeGreaterThanOrEqual(beforeS);
      beforeS = value;
    }
  });

  it('answers a look at any time, an hour after too', () => {
    for (const atS of [96.7, 120, 600, 3600, 36_000]) {
      for (const shows of [true, false]) {
        const { value, sd } = after({ atS: 95, shows: false }, { atS, shows });
        expect(Number.isFinite(value) && sd > 0).toBe(true);
      }
    }
  });

  it('does not take a bed that has shown for long for a slow one, unless somebody saw its water stand', () => {
    const late = { atS: bedShowsS(1, 200) + 40, shows: true };
    expect(after(late)).toEqual(drainOf(calibration));
    // A bloom is drunk up at once; a look at it half a minute later is no stall.
    expect(after({ atS: 35, shows: true })).toEqual(drainOf(calibration));
    const stood = { atS: bedShowsS(1, 200) + 10, shows: false };
    expect(after(stood, late).value).toBeGreaterThan(after(stood).value);
  });

  it('looks over what was seen while water still ran in', () => {
    expect(after({ atS: 5, shows: true }, { atS: 90, shows: false })).toEqual(drainOf(calibration));
    const unchanged = (seen: BedSeen) =>
      expect(withBedSeen({ calibration, brew, seen: [seen] })).toBe(calibration);
    const begunLate = { ...brew, pours: brew.pours.map((pour) => ({ ...pour, startS: pour.startS + 10 })) };
    for (const shows of [true, false]) {
      unchanged({ atS: 0, shows });
      // At the moment at which the last pour ends, and before the first.
      unchanged({ atS: 80 + 100 / 6, shows });
      const seen = [{ atS: 5, shows }];
      expect(withBedSeen({ calibration, brew: begunLate, seen })).toBe(calibration);
    }
  });

  it('goes by water that stood after the same pour, and not after one before', () => {
    const late = { atS: bedShowsS(1, 200) + 40, shows: true };
    const stoodBefore = { atS: 70, shows: false };
    const shownBefore = { atS: bedShowsS(1, 200) + 20, shows: true };
    expect(after(stoodBefore, late)).toEqual(after(stoodBefore));
    expect(after(shownBefore, late)).toEqual(after(shownBefore));
  });

  it('comes nearer with the second look', () => {
    const truthS = modelledBrew(brew, { ...KNOWN, flow: 2 }).drawdownS;
    const first = { atS: 210, shows: false };
    const second = { atS: bedShowsS(2, 200), shows: true };
    const missed = (seen: BedSeen[]) => Math.abs(after(...seen).value - truthS);
    expect(missed([first])).toBeLessThan(missed([]));
    expect(missed([first, second])).toBeLessThan(missed([first]));
    expect(missed([first, second])).toBeLessThan(0.1 * truthS);
  });

  it('is read from the events of a brew in order of time', () => {
    const events: BenchEvent[] = [
      { kind: 'bed-shows', atS: 80 },
      { kind: 'cup-changed', atS: 30, massG: null },
      { kind: 'water-stands', atS: 60 },
    ];
    expect(bedSeenIn(events)).toEqual([
      { atS: 60, shows: false },
      { atS: 80, shows: true },
    ]);
  });

  // Bayes' rule by adding up flow after flow of either hypothesis, with nothing made straight: what the filter stands for.
  it.each([
    ['a bed that shows a little early', 0.8, true],
    ['a bed that shows very early', 0.45, true],
    ['water that stands a little late', 1.3, false],
    ['water that stands very late', 2, false],
  ])('comes near to what all flows together say of %s', (_, flow, shows) => {
    const seen = { atS: bedShowsS(flow, 200), shows };
    const learned = withBedSeen({ calibration, brew, seen: [seen] });
    const summed = byAddingUp(seen);
    const lnFlow = Math.log(learned.factors.flow);
    expect(Math.abs(lnFlow - summed.mean)).toBeLessThan(0.25 * summed.sd + 0.01);
    const sd = Math.sqrt(learned.lnCovariance[FLOW]?.[FLOW] ?? NaN);
    expect(sd / summed.sd).toBeGreaterThan(0.75);
    expect(sd / summed.sd).toBeLessThan(1.33);
  });
});

const FLOW = FACTORS.indexOf('flow');

/** The flow of this bed after one look, as the mean and spread of its logarithm. */
function byAddingUp({ atS, shows }: BedSeen): { mean: number; sd: number } {
  const [EYE, STEPS, FARTHEST] = [0.12, 60, 2];
  const last = brew.pours.at(-1)!;
  const pouredS = last.startS + last.amountG / last.flowGps;
  const usualVar = (calibration.lnCovariance[FLOW]?.[FLOW] ?? NaN) + MODEL_ERROR.drawdown ** 2;
  const normal = (off: number, variance: number) =>
    Math.exp(-(off ** 2) / (2 * variance)) / Math.sqrt(variance);
  let [weights, sum, squares] = [0, 0, 0];
  for (let step = -STEPS; step <= STEPS; step++) {
    const off = (step / STEPS) * FARTHEST;
    const lnFlow = Math.log(calibration.factors.flow) + off;
    const prior =
      (1 - AMISS.probability) * normal(off, usualVar) +
      AMISS.probability * normal(off, usualVar + AMISS.lnSd ** 2);
    const showsS = bedShowsS(Math.exp(lnFlow), 200);
    // Slower than any brew is followed: it stands for good.
    const intervalS = Number.isNaN(showsS) ? Infinity : showsS - pouredS;
    const missed = Math.log((atS - pouredS) / intervalS);
    const weight = prior * (shows ? normal(missed, EYE ** 2) : Number(intervalS > atS - pouredS));
    weights += weight;
    sum += weight * lnFlow;
    squares += weight * lnFlow ** 2;
  }
  const mean = sum / weights;
  return { mean, sd: Math.sqrt(squares / weights - mean ** 2) };
}
