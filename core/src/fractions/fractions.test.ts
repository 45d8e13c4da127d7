import { describe, expect, it } from 'vitest';
import { BREWER_CLASSES, PAPER_PER_M } from '../brewModel/hardware.js';
import { momentsOf } from '../brewModel/series.js';
import { DEFAULT_LOT, simulateBrew } from '../brewModel/simulateBrew.js';
import { planWaterG, type BrewPlan } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { alignSeries } from './alignSeries.js';
import { cumulativeFractions } from './cumulative.js';
import type { Fraction } from './fraction.js';
import { moveWater, stoppedCup } from './keepWanted.js';
import { turnOf } from './turn.js';

// Five cups by hand: 40 g each at 4, 2, 1, 0.5 and 0.3 %; 15 g of dose.
const CUPS: Fraction[] = [4, 2, 1, 0.5, 0.3].map((tdsPercent, index) => ({
  startS: 30 + index * 15,
  endS: 45 + index * 15,
  beverageG: 40,
  tdsPercent,
}));
const wanting = (...wanted: (boolean | null)[]) =>
  CUPS.map((cup, index) => ({ ...cup, wanted: wanted[index] ?? null }));

/** Cups of a modelled brew, changed every 15 s from its first drop. */
function modelledCups(bloomS: number): Fraction[] {
  const brew = valueOf(
    simulateBrew({
      doseG: 15,
      grind: { d50Um: 700 },
      kettleC: 94,
      pours: [
        { startS: 0, amountG: 45, flowGps: 6 },
        { startS: bloomS, amountG: 205, flowGps: 6 },
      ],
      agitation: [],
      brewer: BREWER_CLASSES.cone,
      paperPerM: PAPER_PER_M.ordinary,
      lot: DEFAULT_LOT,
      ambientC: 22,
      elevationM: 0,
    }),
  );
  const series = momentsOf(brew.series);
  const end = series.at(-1)?.atS ?? 0;
  const at = (seconds: number) => series.find(({ atS }) => atS >= seconds - 1e-9) ?? series.at(-1);
  const cups: Fraction[] = [];
  for (let startS = 15; startS + 15 < end; startS += 15) {
    const [a, b] = [at(startS), at(startS + 15)];
    const beverageG = (b?.beverageG ?? 0) - (a?.beverageG ?? 0);
    const solids = ((b?.yieldPercent ?? 0) - (a?.yieldPercent ?? 0)) * 0.15;
    if (beverageG > 0.5)
      cups.push({ startS, endS: startS + 15, beverageG, tdsPercent: (solids / beverageG) * 100 });
  }
  return cups;
}

describe('cups added up', () => {
  it('come to the sums by hand', () => {
    const points = valueOf(cumulativeFractions({ fractions: CUPS, doseG: 15 }));
    expect(points.map(({ beverageG }) => beverageG)).toEqual([0, 40, 80, 120, 160, 200]);
    // Solids 1.6, 2.4, 2.8, 3.0, 3.12 g.
    expect(points.at(-1)?.solidsG).toBeCloseTo(3.12, 12);
    expect(points.at(-1)?.tdsPercent).toBeCloseTo(1.56, 12);
    expect(points.at(-1)?.yieldPercent).toBeCloseTo(20.8, 12);
    expect(points[2]?.tdsPercent).toBeCloseTo(3, 12);
  });

  it('do not guess a cup that was not read', () => {
    const unread = CUPS.map((cup, index) => (index === 2 ? { ...cup, tdsPercent: null } : cup));
    const points = valueOf(cumulativeFractions({ fractions: unread, doseG: 15 }));
    expect(points.map(({ tdsPercent }) => tdsPercent !== null)).toEqual([
      false,
      true,
      true,
      false,
      false,
      false,
    ]);
    expect(points.at(-1)?.beverageG).toBe(200);
  });

  it('name the cup that cannot be', () => {
    const bad = (change: Partial<Fraction>) =>
      cumulativeFractions({
        fractions: CUPS.map((cup, index) => (index === 1 ? { ...cup, ...change } : cup)),
        doseG: 15,
      });
    expect(bad({ tdsPercent: 40 })).toMatchObject({ field: 'fractions.1.tdsPercent', allowed: '0 to 25 %' });
    expect(bad({ startS: 40 })).toMatchObject({ reason: 'fractions-overlap' });
    expect(cumulativeFractions({ fractions: CUPS, doseG: 0 })).toMatchObject({ field: 'doseG' });
    expect(cumulativeFractions({ fractions: [], doseG: 15 })).toMatchObject({ reason: 'no-fractions' });
  });
});

describe('two series side by side', () => {
  const later = CUPS.map((cup) => ({ ...cup, startS: cup.startS + 12, endS: cup.endS + 12 }));

  it('finds the delay of one behind the other by time, and none by mass', () => {
    const byTime = valueOf(alignSeries({ first: CUPS, second: later, by: 'time' }));
    expect(byTime.delay).toBeCloseTo(12, 0);
    const byMass = valueOf(alignSeries({ first: CUPS, second: later, by: 'mass' }));
    expect(byMass.delay).toBe(0);
    for (const { firstTdsPercent, secondTdsPercent } of byMass.points) {
      expect(firstTdsPercent).toBe(secondTdsPercent);
    }
  });

  it('is silent where a series does not reach, or too few cups were read', () => {
    const { points } = valueOf(alignSeries({ first: CUPS, second: later, by: 'time' }));
    expect(points[0]?.secondTdsPercent).toBeNull();
    expect(points.at(-1)?.firstTdsPercent).toBeNull();
    expect(valueOf(alignSeries({ first: CUPS.slice(0, 2), second: later, by: 'time' })).delay).toBeNull();
  });

  // Common practice: a bloom delays the turn rather than changing it.
  it('finds a longer bloom of a modelled brew as a delay', () => {
    const { delay } = valueOf(alignSeries({ first: modelledCups(30), second: modelledCups(50), by: 'time' }));
    expect(delay).toBeGreaterThan(8);
    expect(delay).toBeLessThan(32);
  });
});

describe('where the cup turns', () => {
  it('is where the first unwanted cup begins, as tasted', () => {
    expect(valueOf(turnOf({ fractions: wanting(true, true, true, false, false) }))).toEqual({
      atS: 75,
      beverageG: 120,
      basis: 'taste',
    });
  });

  it('is where the solids bend most, as read', () => {
    // Shares of solids less shares of mass: 0.313, 0.369, 0.297, 0.162, 0: the second cup's end.
    expect(valueOf(turnOf({ fractions: CUPS }))).toEqual({ atS: 60, beverageG: 80, basis: 'strength' });
  });

  it('says when it does not turn, or nobody can know', () => {
    expect(turnOf({ fractions: wanting(true, true, true, true, true) })).toMatchObject({
      reason: 'does-not-turn',
    });
    expect(turnOf({ fractions: wanting(false) })).toMatchObject({ reason: 'does-not-turn' });
    const unread = CUPS.map((cup) => ({ ...cup, tdsPercent: null }));
    expect(turnOf({ fractions: unread })).toMatchObject({ reason: 'not-tasted-nor-read' });
    const even = CUPS.map((cup) => ({ ...cup, tdsPercent: 1 }));
    expect(turnOf({ fractions: even })).toMatchObject({ reason: 'does-not-turn' });
  });
});

describe('keeping the wanted part', () => {
  it('stops between two cups with what ran in until then', () => {
    const cup = valueOf(stoppedCup({ fractions: CUPS, doseG: 15, stopS: 67.5 }));
    expect(cup.beverageG).toBeCloseTo(100, 9);
    expect(cup.tdsPercent).toBeCloseTo(2.6, 9);
    expect(stoppedCup({ fractions: CUPS, doseG: 15, stopS: 200 })).toMatchObject({
      reason: 'outside-the-cups',
    });
  });

  const plan: BrewPlan = {
    doseG: 15,
    kettleC: 94,
    grindUm: 700,
    drawdownS: 170,
    pours: [
      { startS: 0, amountG: 40, flowGps: 6, agitation: 'none', isBloom: true },
      { startS: 40, amountG: 70, flowGps: 6, agitation: 'none', isBloom: false },
      { startS: 75, amountG: 70, flowGps: 6, agitation: 'none', isBloom: false },
      { startS: 110, amountG: 70, flowGps: 6, agitation: 'none', isBloom: false },
    ],
  };

  it('moves three quarters of the water before 1:20 and keeps bloom, clock and water', () => {
    const moved = valueOf(moveWater({ plan, share: 0.75, beforeS: 80 }));
    const early = moved.pours.filter(({ startS }) => startS < 80);
    expect(Math.abs(planWaterG({ pours: early }) - 187.5)).toBeLessThanOrEqual(1);
    expect(planWaterG(moved)).toBe(250);
    expect(moved.pours[0]).toEqual(plan.pours[0]);
    expect(moved.pours.map(({ startS }) => startS)).toEqual(plan.pours.map(({ startS }) => startS));
  });

  it('says why water cannot be moved', () => {
    expect(moveWater({ plan, share: 0.75, beforeS: 30 })).toMatchObject({ reason: 'no-pour-before' });
    expect(moveWater({ plan, share: 0.75, beforeS: 300 })).toMatchObject({ reason: 'no-pour-after' });
    expect(moveWater({ plan, share: 0.1, beforeS: 80 })).toMatchObject({ reason: 'bloom-is-more' });
    expect(moveWater({ plan, share: 2, beforeS: 80 })).toMatchObject({ field: 'share' });
  });
});
