import { describe, expect, it } from 'vitest';
import { modelledBrew } from '../calibration/modelled.js';
import { brewAsItWaits } from '../forecast/asItWaits.js';
import { valueOf } from '../result.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { kitchenAdvice } from './kitchenAdvice.js';
import type { KitchenTaste } from './kitchenTaste.js';

const FACTORS = { solubility: 1.05, rate: 0.9, flow: 1.3, retained: 1, steepness: 1 };
/** A kitchen that is told one size and grinds another: what its clock shows. */
const drainAt = (grindUm: number) =>
  modelledBrew(brewAsItWaits({ plan: { ...PLAN, grindUm }, kit: CONE_KIT, factors: FACTORS }), FACTORS)
    .drawdownS;
const GRINDER = {
  points: [
    { setting: 10, grindUm: 500, sdUm: 10 },
    { setting: 30, grindUm: 1100, sdUm: 10 },
  ],
  settingStep: 1,
  setting: 17,
};
const ask = (drainedS: number, taste: KitchenTaste = 'bitter', more: object = {}) =>
  kitchenAdvice({ plan: PLAN, kit: CONE_KIT, factors: FACTORS, drainedS, taste, ...more });
const advice = (drainedS: number, taste?: KitchenTaste, more?: object) =>
  valueOf(ask(drainedS, taste, more)).advice;

describe('a card fitted to a kitchen', () => {
  it.each([-120, -90, 90, 150])('takes back what a grinder is off by: %i µm', (offUm) => {
    const taste = offUm < 0 ? 'bitter' : 'sour';
    const found = valueOf(ask(drainAt(PLAN.grindUm + offUm), taste));
    expect(found.grindUm).toBeCloseTo(PLAN.grindUm + offUm, 0);
    expect(found.advice).toMatchObject({ kind: 'grind' });
    // A little less than the clock has it, since paper and hand may have done some of that.
    const share = found.advice.kind === 'grind' ? -found.advice.byUm / offUm : 0;
    expect(share).toBeGreaterThan(0.6);
    expect(share).toBeLessThan(1);
  });

  it('says it as a setting of the grinder that was used, whose scale is moved to what it really gave', () => {
    // At 17 its curve has 710 um, and it ground some 630: what it calls 790 is 700.
    const found = advice(drainAt(600), 'bitter', { grinder: GRINDER });
    expect(found).toMatchObject({ kind: 'grind', setting: { kind: 'setting', setting: 20 } });
  });

  it('lets a clock that only leans make the step of taste larger', () => {
    const [leaning, silent] = [drainAt(PLAN.grindUm + 45), drainAt(PLAN.grindUm)].map((drainedS) => {
      const found = advice(drainedS, 'sour');
      return found.kind === 'grind' ? found : null;
    });
    expect([leaning?.sure, silent?.sure]).toEqual([null, null]);
    expect(leaning?.byUm).toBeLessThan(silent?.byUm ?? 0);
  });

  it('is the surer the further off the clock is', () => {
    const sure = [60, 90, 150].map((offUm) => {
      const found = advice(drainAt(PLAN.grindUm + offUm), 'sour');
      return found.kind === 'grind' ? (found.sure ?? 0) : 0;
    });
    expect([...sure].sort((a, b) => a - b)).toEqual(sure);
  });

  it('leaves a cup alone that is liked, and follows taste where the clock is silent', () => {
    const there = drainAt(PLAN.grindUm);
    expect(advice(drainAt(620), 'right')).toEqual({ kind: 'keep' });
    expect(advice(there, 'sour')).toMatchObject({ kind: 'grind', byUm: -30, sure: null });
    expect(advice(there, 'bitter')).toMatchObject({ kind: 'grind', byUm: 30 });
    expect(advice(there, 'strong')).toEqual({ kind: 'water', more: true });
    expect(advice(there, 'weak')).toEqual({ kind: 'water', more: false });
  });

  // Common practice: slow and sour at once is water that went around the coffee.
  it('moves no grind where clock and taste ask for opposite ones', () => {
    expect(advice(drainAt(600), 'sour')).toEqual({ kind: 'evenness' });
    expect(advice(drainAt(850), 'bitter')).toEqual({ kind: 'evenness' });
  });

  it('goes by the time that was proven, not by the model’s', () => {
    const provenS = drainAt(PLAN.grindUm) * 1.2;
    const found = valueOf(ask(provenS, 'sour', { provenS }));
    expect(found.expectedS.value).toBeCloseTo(provenS);
    expect(found.advice).toMatchObject({ sure: null });
  });

  it('holds nine of ten kitchens that have the right grind and another paper', () => {
    const { low, high } = valueOf(ask(drainAt(PLAN.grindUm))).expectedS;
    const papers = [-1.5, -1, -0.5, 0, 0.5, 1, 1.5].map(
      (deviations) =>
        modelledBrew(
          brewAsItWaits({
            plan: PLAN,
            kit: { ...CONE_KIT, paperPerM: CONE_KIT.paperPerM * (1 + 0.15 * deviations) },
            factors: FACTORS,
          }),
          FACTORS,
        ).drawdownS,
    );
    expect(papers.every((drainedS) => drainedS > low && drainedS < high)).toBe(true);
  });

  it('says what to look at where no grind drains so, and refuses what cannot be', () => {
    expect(ask(1500)).toMatchObject({
      ok: false,
      reason: 'no-grind-drains-so',
      message: expect.stringContaining('paper') as string,
    });
    expect(ask(25)).toMatchObject({
      ok: false,
      reason: 'no-grind-drains-so',
      message: expect.stringContaining('so fast') as string,
    });
    expect(ask(2000)).toMatchObject({ field: 'drainedS', allowed: '20 to 1800 s' });
    expect(
      kitchenAdvice({ plan: { ...PLAN, lifts: true }, kit: CONE_KIT, drainedS: 100, taste: 'sour' }),
    ).toMatchObject({
      reason: 'lifted',
    });
  });

  it('knows no setting of a grinder that was not measured, or beyond its curve', () => {
    const none = (grinder: object) => advice(drainAt(640), 'bitter', { grinder });
    expect(none({ ...GRINDER, points: [] })).toMatchObject({ setting: null });
    expect(none({ ...GRINDER, setting: 99 })).toMatchObject({ setting: null });
    expect(
      none({
        ...GRINDER,
        points: GRINDER.points.map((point) => ({ ...point, grindUm: point.grindUm - 400 })),
      }),
    ).toMatchObject({
      kind: 'grind',
    });
  });
});
