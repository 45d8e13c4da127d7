import { describe, expect, it } from 'vitest';
import { calibrateLot } from '../calibration/calibrateLot.js';
import { conditionsOfPlan, type LearnedFactors } from '../calibration/conditions.js';
import type { MeasuredBrew } from '../calibration/evidence.js';
import { modelledBrew } from '../calibration/modelled.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { lessonOf } from './lesson.js';
import { lotTaught } from './lotTaught.js';

const TRUTH: LearnedFactors = { solubility: 1.07, rate: 1.3, flow: 1.4, retained: 1.05, steepness: 1.2 };
const measured = (byUm: number): MeasuredBrew => {
  const brew = conditionsOfPlan({ plan: { ...PLAN, grindUm: PLAN.grindUm + byUm }, kit: CONE_KIT });
  const { drawdownS, tdsPercent, beverageG } = modelledBrew(brew, TRUTH);
  return { brew, drawdownS, tdsPercent, beverageG };
};
const calibrated = (...byUm: number[]) => valueOf(calibrateLot({ brews: byUm.map(measured) }));
const taughtBy = (...byUm: number[]) =>
  valueOf(lotTaught({ plan: PLAN, kit: CONE_KIT, calibration: calibrated(...byUm) }));
const really = measured(0);

describe('what a lot has taught', () => {
  it('is nothing before its first brew: it is like the lots like it', () => {
    const { brews, beside } = taughtBy();
    expect(brews).toBe(0);
    for (const { here, likeIt } of Object.values(beside)) expect(here).toBeCloseTo(likeIt, 9);
  });

  it('is how much stronger and slower it is than lots like it', () => {
    const { brews, beside } = taughtBy(-60, 0, 60);
    expect(brews).toBe(3);
    expect(beside.tdsPercent.here).toBeCloseTo(really.tdsPercent ?? 0, 1);
    expect(beside.tdsPercent.here).toBeGreaterThan(beside.tdsPercent.likeIt + 0.05);
    expect(beside.drawdownS.here).toBeGreaterThan(beside.drawdownS.likeIt + 15);
    expect(beside.drawdownS.sd).toBeLessThan(taughtBy().beside.drawdownS.sd / 3);
  });

  it('is what the next step of grind or heat does, in the direction of the trade', () => {
    // Directions common practice; sizes are the model's, bent by the lot's own brews.
    const { finer, hotter } = taughtBy(-60, 0, 60);
    for (const outcome of ['tdsPercent', 'yieldPercent', 'drawdownS'] as const) {
      expect(finer[outcome], outcome).toBeGreaterThan(0);
    }
    expect(hotter.yieldPercent).toBeGreaterThan(0);
    expect(hotter.yieldPercent).toBeLessThan(1);
    expect(finer.tdsPercent).toBeLessThan(0.3);
    // A lot whose strength follows the grind more than usual has a larger step.
    expect(finer.tdsPercent).toBeGreaterThan(1.05 * taughtBy().finer.tdsPercent);
    expect(taughtBy(-60, 60).stepOpen).toBeLessThan(0.8 * taughtBy(0).stepOpen);
  });

  it('is what the bed keeps, with a band that weighing narrows', () => {
    const width = ({ retainedGPerG: { low, high } }: ReturnType<typeof taughtBy>) => high - low;
    const { retainedGPerG } = taughtBy(0);
    expect(retainedGPerG.low).toBeLessThan(retainedGPerG.value);
    expect(retainedGPerG.value).toBeLessThan(retainedGPerG.high);
    expect(width(taughtBy(0))).toBeLessThan(0.85 * width(taughtBy()));
    const waterG = PLAN.pours.reduce((sum, { amountG }) => sum + amountG, 0);
    expect(retainedGPerG.value).toBeCloseTo((waterG - (really.beverageG ?? 0)) / PLAN.doseG, 1);
  });

  it('says what the next brew would teach most', () => {
    expect(lessonOf(calibrated())).toBe('read');
    expect(lessonOf(calibrated(0))).toBe('another-grind');
    expect(lessonOf(calibrated(-80, 0, 80))).toBeNull();
    const untimed = valueOf(
      calibrateLot({ brews: [-80, 0, 80].map((byUm) => ({ ...measured(byUm), drawdownS: null })) }),
    );
    expect(lessonOf(untimed)).toBe('time-the-drain');
    const unweighed = valueOf(
      calibrateLot({ brews: [-80, 0, 80].map((byUm) => ({ ...measured(byUm), beverageG: null })) }),
    );
    expect(lessonOf(unweighed)).toBe('weigh');
  });

  it('of a plan that no brew can be is refused with its field', () => {
    const calibration = calibrated();
    const refused = lotTaught({ plan: { ...PLAN, doseG: 0 }, kit: CONE_KIT, calibration });
    expect(refused).toMatchObject({ ok: false, field: 'doseG' });
  });
});
