import { describe, expect, it } from 'vitest';
import type { BenchEvent } from '../bench/benchEvents.js';
import { simulateBrew } from '../brewModel/simulateBrew.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { bedSeenIn, withBedSeen, type BedSeen } from './bedSeen.js';
import { calibrateLot, type LotCalibration } from './calibrateLot.js';
import { conditionsOfPlan, lotFactorsOf, type LearnedFactors } from './conditions.js';
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
});
