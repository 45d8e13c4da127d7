import { describe, expect, it } from 'vitest';
import { simulateBrew } from '../brewModel/simulateBrew.js';
import { conditionsOfPlan, lotFactorsOf, type LearnedFactors } from '../calibration/conditions.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { simulatedBrewer, type SimulatedBed, type SimulatedBrewer } from './simulatedBrewer.js';

const FACTORS: LearnedFactors = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };
const conditions = conditionsOfPlan({ plan: PLAN, kit: CONE_KIT });
const brewer = (bed?: SimulatedBed) =>
  valueOf(simulatedBrewer({ conditions, factors: FACTORS, ...(bed ? { bed } : {}) }));

const SWIRLED_S = conditions.agitation[0]?.atS ?? NaN;

/** Pours the plan at ten steps a second; calls back after each. */
function pourPlan(
  into: SimulatedBrewer,
  { fromS = 0, untilS }: { fromS?: number; untilS: number },
  onStep?: (atS: number) => void,
) {
  for (let tenth = fromS * 10 + 1; tenth <= untilS * 10; tenth++) {
    const atS = tenth / 10;
    const pouredG = PLAN.pours.reduce(
      (sum, { startS, amountG, flowGps }) => sum + Math.min(amountG, Math.max(0, (atS - startS) * flowGps)),
      0,
    );
    into.pass({ toS: atS, pouredG });
    if (Math.abs(atS - SWIRLED_S) < 0.05) into.agitate('swirl');
    onStep?.(atS);
  }
}

function brewerAt(untilS: number) {
  const standIn = brewer();
  pourPlan(standIn, { untilS });
  return standIn.seen();
}

/** When the water above the bed has gone, s. */
function drainedS(bed: SimulatedBed): number {
  const standIn = brewer(bed);
  let drained = Infinity;
  pourPlan(standIn, { untilS: 500 }, (atS) => {
    if (atS > 100 && drained === Infinity && standIn.seen().aboveBedG < 1.5) drained = atS;
  });
  return drained;
}

describe('the simulated brewer', () => {
  it('does with water as it comes what the model does with the plan', () => {
    const standIn = brewer();
    pourPlan(standIn, { untilS: 150 });
    const whole = valueOf(simulateBrew({ ...conditions, lot: lotFactorsOf(FACTORS), stepS: 0.1 }));
    const row = whole.series.atS.findIndex((atS) => atS >= 150 - 1e-6);
    const seen = standIn.seen();
    expect(seen.aboveBedG).toBeCloseTo(whole.series.aboveBedG[row] ?? NaN, 1);
    expect(seen.beverageG).toBeCloseTo(whole.series.beverageG[row] ?? NaN, 1);
    expect(seen.waterMm).toBeCloseTo((whole.series.levelM[row] ?? NaN) * 1000, 1);
    expect(seen.outflowGps).toBeCloseTo(whole.series.outflowGps[row] ?? NaN, 2);
  });

  it('feeds through a regulator what the model does, and holds the rest back', () => {
    const under = { ...conditions, regulatorGps: 2 };
    const standIn = valueOf(simulatedBrewer({ conditions: under, factors: FACTORS }));
    pourPlan(standIn, { untilS: 110 });
    const whole = valueOf(simulateBrew({ ...under, lot: lotFactorsOf(FACTORS), stepS: 0.1 }));
    const row = whole.series.atS.findIndex((atS) => atS >= 110 - 1e-6);
    expect(standIn.seen().beverageG).toBeCloseTo(whole.series.beverageG[row] ?? NaN, 0);
    expect(standIn.seen().aboveBedG).toBeLessThan(brewerAt(110).aboveBedG - 20);
  });

  it('keeps all water: in the cup, in the air, above the bed and in it', () => {
    const standIn = brewer();
    pourPlan(standIn, { untilS: 300 });
    const { beverageG, evaporatedG, aboveBedG } = standIn.seen();
    // The bed keeps 1.2 to 2.3 g for each g of dose (common practice).
    const keptG = 245 - beverageG - evaporatedG - aboveBedG;
    expect(keptG / PLAN.doseG).toBeGreaterThan(1.2);
    expect(keptG / PLAN.doseG).toBeLessThan(2.3);
    expect(evaporatedG).toBeGreaterThan(0);
  });

  it('shows its bed once the water has gone', () => {
    const standIn = brewer();
    pourPlan(standIn, { untilS: 75 });
    const before = standIn.seen();
    pourPlan(standIn, { fromS: 75, untilS: 90 });
    const pouring = standIn.seen();
    expect(pouring.waterMm).toBeGreaterThan(pouring.bedMm + 5);
    expect(pouring.aboveBedG).toBeGreaterThan(before.aboveBedG);
    pourPlan(standIn, { fromS: 90, untilS: 400 });
    const after = standIn.seen();
    expect(after.waterMm - after.bedMm).toBeLessThan(0.5);
    expect(after.outflowGps).toBeLessThan(0.1);
  });

  it('stalls with a clogging bed and runs through a fast-draining one', () => {
    const usualS = drainedS('usual');
    // Past its plan by half a brew stalls (common practice).
    expect(drainedS('clogging')).toBeGreaterThan(usualS * 1.5);
    expect(drainedS('fast-draining')).toBeLessThan(usualS * 0.75);
  });

  it('does not turn back, and takes no water out', () => {
    const standIn = brewer();
    standIn.pass({ toS: 10, pouredG: 50 });
    const before = standIn.seen();
    standIn.pass({ toS: 5, pouredG: 80 });
    expect(standIn.seen()).toEqual(before);
    standIn.pass({ toS: 11, pouredG: 20 });
    expect(standIn.seen().beverageG).toBeGreaterThanOrEqual(before.beverageG);
  });

  it.each([
    ['less than a drop in a moment', [{ toS: 1e-3, pouredG: 2.475e-321 }]],
    [
      'all its water in no time',
      [
        { toS: 5e-324, pouredG: 240 },
        { toS: 1, pouredG: 240 },
      ],
    ],
    ['more than a scale shows', [{ toS: 1, pouredG: 1e308 }]],
    [
      'nothing for a while',
      [
        { toS: 1, pouredG: 0 },
        { toS: 2, pouredG: 50 },
      ],
    ],
  ])('stays finite with %s', (_, looks) => {
    const standIn = brewer();
    for (const look of looks) standIn.pass(look);
    standIn.pass({ toS: 60, pouredG: 240 });
    const seen = standIn.seen();
    expect(Object.values(seen).every(Number.isFinite)).toBe(true);
    expect(seen.beverageG + seen.aboveBedG).toBeGreaterThan(150);
  });

  it('sleeps through a night at once', () => {
    const standIn = brewer();
    standIn.pass({ toS: 60, pouredG: 200 });
    standIn.pass({ toS: 1e6, pouredG: 200 });
    standIn.pass({ toS: Infinity, pouredG: 300 });
    standIn.pass({ toS: 1e6 + 10, pouredG: NaN });
    expect(standIn.seen().aboveBedG).toBeLessThan(0.1);
    standIn.pass({ toS: 1e6 + 10, pouredG: 240 });
    expect(standIn.seen().aboveBedG).toBeGreaterThan(5);
  });

  it('says which figure cannot be', () => {
    expect(simulatedBrewer({ conditions: { ...conditions, kettleC: 400 }, factors: FACTORS })).toMatchObject({
      ok: false,
      field: 'kettleC',
    });
  });
});
