import { describe, expect, it } from 'vitest';
import { lotPrior, MOST_OF_OWN, valueOf } from '@vendu/core';
import { brewRecordOf } from '@vendu/contract';
import { BREW_KIT, brewItem, PLAN } from '../testing/fixtures';
import { Forecaster } from './forecaster';

function learned(brewCount: number): Forecaster {
  const forecaster = new Forecaster();
  const brews = Array.from({ length: brewCount }, () => brewRecordOf(brewItem()));
  expect(
    forecaster.learn({ kit: BREW_KIT, prior: lotPrior({}), brews, elsewhere: [], roastAgeDays: 9 }),
  ).toBeNull();
  return forecaster;
}

describe('the forecaster of the board', () => {
  it('gives a rough range before the first brew, and a narrower one near what was measured after', () => {
    const width = ({ high, low }: { high: number; low: number }) => high - low;
    const rough = valueOf(learned(0).forecast(PLAN)).expected;
    const known = valueOf(learned(2).forecast(PLAN)).expected;
    expect(rough.isRough).toBe(true);
    expect(known.isRough).toBe(false);
    expect(width(known.tdsPercent)).toBeLessThan(width(rough.tdsPercent) / 2);
    // The brews of the fixture read 1.40 %.
    expect(known.tdsPercent.value).toBeGreaterThan(1.34);
    expect(known.tdsPercent.value).toBeLessThan(1.46);
  });

  it('moves with a plan that is dragged, and says the same once it rests', () => {
    const forecaster = learned(2);
    valueOf(forecaster.forecast(PLAN));
    const finer = { ...PLAN, grindUm: PLAN.grindUm - 40 };
    const moving = valueOf(forecaster.forecast(finer, true)).expected;
    const resting = valueOf(forecaster.forecast(finer)).expected;
    expect(moving.yieldPercent.value).toBeCloseTo(resting.yieldPercent.value, 1);
    expect(moving.drawdownS.value).toBeCloseTo(resting.drawdownS.value, 0);
    expect(moving.tdsPercent.value).toBeGreaterThan(
      valueOf(forecaster.forecast(PLAN)).expected.tdsPercent.value,
    );
  });

  it('draws the course one point a second', () => {
    const { course, maxLevelM } = valueOf(learned(0).forecast(PLAN));
    expect(course.atS.slice(0, 4)).toEqual([0, 1, 2, 3]);
    expect(Math.max(...course.levelM)).toBeLessThanOrEqual(maxLevelM);
    expect(course.slurryC).toHaveLength(course.atS.length);
  });

  it('says why a plan cannot be brewed', () => {
    const backwards = { ...PLAN, drawdownS: 20 };
    expect(learned(0).forecast(backwards)).toMatchObject({ ok: false, reason: 'plan-cannot-be-brewed' });
  });

  it('scales into twice the dose: coarser, for a deeper bed', () => {
    const scaled = valueOf(learned(0).scaled({ ...PLAN, doseG: 14 }, 20));
    expect(scaled.grindShiftUm).toBeGreaterThan(0);
    expect(scaled.plan.doseG).toBe(20);
  });

  it('refuses to forecast a lot it has not learned', () => {
    expect(() => new Forecaster().forecast(PLAN)).toThrow(/before it had learned/);
  });

  it('learns on from what it knew once a brew is read, and comes to what a new one does', () => {
    const withReadings = (...readings: number[]) =>
      readings.map((tdsPercent) => ({ ...brewRecordOf(brewItem()), tdsPercent }));
    const ground = { kit: BREW_KIT, prior: lotPrior({}), elsewhere: [], roastAgeDays: 9 };
    const forecaster = learned(0);
    forecaster.learn({ ...ground, brews: withReadings(1.4, 1.38, 1.41) });
    const before = forecaster.factors();
    forecaster.learn({ ...ground, brews: withReadings(1.4, 1.38, 1.41, 1.31) });
    const anew = new Forecaster();
    anew.learn({ ...ground, brews: withReadings(1.4, 1.38, 1.41, 1.31) });
    expect(forecaster.factors()).not.toEqual(before);
    const [on, fresh] = [forecaster, anew].map((each) => valueOf(each.forecast(PLAN)).expected);
    expect(on?.tdsPercent.value).toBeCloseTo(fresh?.tdsPercent.value ?? NaN, 2);
    expect(on?.tdsPercent.sd).toBeCloseTo(fresh?.tdsPercent.sd ?? NaN, 3);
    expect(on?.drawdownS.value).toBeCloseTo(fresh?.drawdownS.value ?? NaN, 0);
  });

  it('names a brew that does not fit by its place among all, however many older ones are left out', () => {
    const forecaster = new Forecaster();
    const fits = Array.from({ length: MOST_OF_OWN + 5 }, () => brewRecordOf(brewItem()));
    const odd = brewRecordOf(brewItem());
    const brews = [...fits, { ...odd, tdsPercent: (odd.tdsPercent ?? 1.4) + 0.4 }];
    forecaster.learn({ kit: BREW_KIT, prior: lotPrior({}), brews, elsewhere: [], roastAgeDays: 9 });
    const taught = forecaster.taught(PLAN);
    expect(taught?.lot.brews).toBe(MOST_OF_OWN);
    expect(taught?.unlike.map(({ ownIndex }) => ownIndex)).toEqual([brews.length - 1]);
  });
});
