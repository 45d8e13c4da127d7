import { describe, expect, it } from 'vitest';
import { benchSteps } from '../bench/benchSteps.js';
import { BREWER_CLASSES, PAPER_PER_M } from '../brewModel/hardware.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { calibrateLot } from './calibrateLot.js';
import { conditionsOfPlan, type BrewKit, type LearnedFactors } from './conditions.js';
import type { MeasuredBrew } from './evidence.js';
import { forecastBrew } from './forecastBrew.js';
import { lotBrews } from './lotBrews.js';
import { modelledBrew } from './modelled.js';
import type { BrewRecord } from './recordedBrew.js';

const FLAT_KIT: BrewKit = {
  ...CONE_KIT,
  brewer: BREWER_CLASSES['flat-bottom'],
  paperPerM: PAPER_PER_M.fast,
};
const TRUTH: LearnedFactors = { solubility: 1.08, rate: 1.25, flow: 1.35, retained: 1.04, steepness: 1 };
const record = (tdsPercent: number): BrewRecord => ({
  plan: PLAN,
  steps: benchSteps(PLAN).map((step, stepIndex) => ({
    stepIndex,
    atS: step.plannedS,
    skipped: false,
    totalG: null,
  })),
  events: [],
  doseG: PLAN.doseG,
  beverageG: 210,
  tdsPercent,
  roastAgeDays: 12,
});
/** A brew that came out as a lot with those factors does, by good instruments. */
function measured(kit: BrewKit, byUm: number, factors = TRUTH): MeasuredBrew {
  const brew = conditionsOfPlan({ plan: { ...PLAN, grindUm: PLAN.grindUm + byUm }, kit });
  const { drawdownS, tdsPercent, beverageG } = modelledBrew(brew, factors);
  return { brew, drawdownS, tdsPercent, beverageG };
}
const forecast = (brews: MeasuredBrew[]) =>
  valueOf(
    forecastBrew({
      calibration: valueOf(calibrateLot({ brews })),
      brew: conditionsOfPlan({ plan: PLAN, kit: FLAT_KIT }),
    }),
  );
const elsewhere = [-40, 0, 40].map((byUm) => ({ ...measured(CONE_KIT, byUm), otherKit: 'cone' }));
const really = modelledBrew(conditionsOfPlan({ plan: PLAN, kit: FLAT_KIT }), TRUTH);

describe('brews of one lot in several kits', () => {
  it('are its own, and those of others by the name of their kit; the same kit under another recipe is its own', () => {
    const brews = lotBrews(
      CONE_KIT,
      [record(1.3)],
      [
        { name: 'flat', kit: FLAT_KIT, brews: [record(1.4), record(1.41)] },
        { name: 'cone, another recipe', kit: { ...CONE_KIT }, brews: [record(1.35)] },
        {
          name: 'cone, thick paper',
          kit: { ...CONE_KIT, paperPerM: PAPER_PER_M.thick },
          brews: [record(1.5)],
        },
      ],
    );
    expect(brews.map(({ tdsPercent, otherKit }) => [tdsPercent, otherKit])).toEqual([
      [1.4, 'flat'],
      [1.41, 'flat'],
      [1.35, undefined],
      [1.5, 'cone, thick paper'],
      [1.3, undefined],
    ]);
    expect(brews[0]?.brew.brewer).toEqual(FLAT_KIT.brewer);
  });

  it('takes the last of a kit, which is enough to know the lot', () => {
    const many = Array.from({ length: 20 }, (_, index) => record(1 + index));
    const brews = lotBrews(CONE_KIT, [], [{ name: 'flat', kit: FLAT_KIT, brews: many }]);
    expect(brews.map(({ tdsPercent }) => tdsPercent)).toEqual([13, 14, 15, 16, 17, 18, 19, 20]);
  });

  it('bring a second brewer’s forecast nearer to what it gives, before it was ever brewed', () => {
    const [alone, together] = [forecast([]), forecast(elsewhere)];
    const off = (figure: 'tdsPercent' | 'yieldPercent' | 'drawdownS', of: typeof alone) =>
      Math.abs(of[figure].value - really[figure]);
    // Of the drain less goes over: part of it is the kit's.
    for (const [figure, most] of [
      ['tdsPercent', 0.4],
      ['yieldPercent', 0.4],
      ['drawdownS', 0.8],
    ] as const) {
      expect(off(figure, together), figure).toBeLessThan(most * off(figure, alone));
      expect(really[figure], figure).toBeGreaterThan(together[figure].low);
      expect(really[figure], figure).toBeLessThan(together[figure].high);
    }
  });

  it('narrow the band of strength and yield by half, and not that of the drain', () => {
    const [alone, together] = [forecast([]), forecast(elsewhere)];
    for (const figure of ['tdsPercent', 'yieldPercent'] as const) {
      expect(together[figure].sd, figure).toBeLessThan(0.5 * alone[figure].sd);
    }
    const share = ({ drawdownS }: typeof alone) => drawdownS.sd / drawdownS.value;
    expect(share(together)).toBeGreaterThan(0.8 * share(alone));
  });

  it('leave more open than brews in the kit itself: how easily water goes through it is its own', () => {
    const own = [-40, 0, 40].map((byUm) => measured(FLAT_KIT, byUm));
    const [fromOther, fromOwn] = [forecast(elsewhere), forecast(own)];
    expect(fromOther.drawdownS.sd).toBeGreaterThan(3 * fromOwn.drawdownS.sd);
    expect(fromOther.tdsPercent.sd).toBeGreaterThan(1.3 * fromOwn.tdsPercent.sd);
    // The first brew of its own closes most of that.
    const both = forecast([...elsewhere, measured(FLAT_KIT, 0)]);
    expect(both.drawdownS.sd).toBeLessThan(0.5 * fromOther.drawdownS.sd);
  });

  it('do not take a kit that drains otherwise for the lot: not all of it goes over', () => {
    const slow = (otherKit?: string): MeasuredBrew[] =>
      [-40, 0, 40].map((byUm) => ({
        ...measured(CONE_KIT, byUm, { ...TRUTH, flow: TRUTH.flow * 2 }),
        ...(otherKit === undefined ? {} : { otherKit }),
      }));
    const asLot = forecast(slow()).drawdownS.value;
    const asKit = forecast(slow('cone')).drawdownS.value;
    const [low, high] = [forecast([]).drawdownS.value, asLot];
    expect(asKit).toBeGreaterThan(low);
    expect((asKit - low) / (high - low)).toBeLessThan(0.8);
  });

  it('of one kit alone are what they were: nothing is asked of kits', () => {
    const own = [measured(FLAT_KIT, 0)];
    const named = own.map((brew) => ({ ...brew, otherKit: 'flat' }));
    expect(valueOf(calibrateLot({ brews: own })).misses.every(({ kitSlope }) => kitSlope === undefined)).toBe(
      true,
    );
    expect(
      valueOf(calibrateLot({ brews: named })).misses.every(({ kitSlope }) => kitSlope !== undefined),
    ).toBe(true);
  });
});
