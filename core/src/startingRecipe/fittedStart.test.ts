import { describe, expect, it } from 'vitest';
import { CLASSIC_WINDOW } from '../extraction/extractionMap.js';
import { USUAL_SCHOOLS } from '../schools/schools.js';
import { CONE_KIT } from '../testing/brews.js';
import { calibrateLot } from '../calibration/calibrateLot.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { modelledBrew } from '../calibration/modelled.js';
import { valueOf } from '../result.js';
import type { StartingFacts } from './facts.js';
import { fittedStart } from './fittedStart.js';
import { similarLots, type FinishedLot, type LotCharacter } from './similarLots.js';

const FACTS: StartingFacts = {
  process: 'washed',
  elevation: { fromM: 1800, toM: 1900 },
  roastLevel: 'medium-light',
  roastAgeDays: 10,
  brewer: { shape: 'cone', usualDoseG: 16 },
  labElevationM: 0,
};
const REACH = { finestUm: 400, coarsestUm: 1300 };
const start = (more: Partial<Parameters<typeof fittedStart>[0]> = {}) =>
  fittedStart({
    facts: FACTS,
    switchedOff: [],
    kit: CONE_KIT,
    houseWindow: CLASSIC_WINDOW,
    aim: null,
    reach: REACH,
    similar: [],
    ...more,
  });

const CHARACTER: LotCharacter = {
  process: 'washed',
  elevation: { fromM: 1850, toM: 1850 },
  roastLevel: 'light',
  variety: 'Bourbon',
  brewerShape: 'cone',
};
const finished = (lotId: number, more: Partial<FinishedLot>): FinishedLot => ({
  ...CHARACTER,
  lotId,
  name: `Lot ${lotId}`,
  startGrindUm: 700,
  plan: start().plan,
  evidence: null,
  ...more,
});

describe('the starting recipe with the grind set by the model', () => {
  it('comes nearer to drain time and yield than the rules alone', () => {
    const { grindFit } = start().reasons;
    const missOf = (drawdownS: number, yieldPercent: number) =>
      Math.abs(drawdownS / grindFit.targetDrawdownS - 1) * 10 +
      Math.abs(yieldPercent - grindFit.targetYieldPercent);
    const { plan } = start();
    const factors = valueOf(calibrateLot({ brews: [] })).factors;
    const asRuled = modelledBrew(
      conditionsOfPlan({ plan: { ...plan, grindUm: grindFit.wantedUm }, kit: CONE_KIT, roastAgeDays: 10 }),
      factors,
    );
    expect(missOf(grindFit.drawdownS, grindFit.yieldPercent)).toBeLessThanOrEqual(
      missOf(asRuled.drawdownS, asRuled.yieldPercent) + 0.1,
    );
    expect(plan.grindUm).toBe(grindFit.grindUm);
  });

  it('aims where the recipe aims, before its school and the house', () => {
    const high = { ...CLASSIC_WINDOW, yieldLowPercent: 22, yieldHighPercent: 24 };
    const { grindFit } = start({ aim: high }).reasons;
    expect(grindFit.targetYieldPercent).toBe(23);
    expect(grindFit.grindUm).toBeLessThan(start().reasons.grindFit.grindUm);
  });

  it('goes coarser in a slow paper than in a fast one', () => {
    const slow = start({ kit: { ...CONE_KIT, paperPerM: 6e8 } });
    const fast = start({ kit: { ...CONE_KIT, paperPerM: 1.2e8 } });
    expect(slow.plan.grindUm).toBeGreaterThan(fast.plan.grindUm);
  });

  it('follows the aim of the house: a higher yield is ground finer', () => {
    const high = start({ facts: { ...FACTS, schools: { ...USUAL_SCHOOLS, aim: 'high-yield' } } });
    expect(high.plan.grindUm).toBeLessThan(start().plan.grindUm);
    expect(high.reasons.grindFit.targetYieldPercent).toBe(21.5);
  });

  it('stays within the grinder and says when that held it back', () => {
    const coarseOnly = start({ reach: { finestUm: 900, coarsestUm: 1200 } });
    expect(coarseOnly.plan.grindUm).toBe(900);
    expect(coarseOnly.reasons.grindFit.atGrindersEnd).toBe(true);
    expect(start().reasons.grindFit.atGrindersEnd).toBe(false);
  });

  it('is a rough range, and learns from similar lots of the house', () => {
    expect(start().forecast.isRough).toBe(true);
    const { plan } = start();
    const brew = conditionsOfPlan({ plan, kit: CONE_KIT, roastAgeDays: 10 });
    // Four lots that drained slowly: the house's lots, or its kit, are slower than the model thinks.
    const slowBrew = { brew, drawdownS: 300, tdsPercent: 1.35, beverageG: 225 };
    const { evidence } = valueOf(calibrateLot({ brews: [slowBrew, slowBrew] }));
    const similar = similarLots(
      CHARACTER,
      [1, 2, 3, 4].map((id) => finished(id, { evidence })),
    );
    expect(start({ similar }).plan.grindUm).toBeGreaterThan(plan.grindUm);
  });
});

describe('similar lots', () => {
  it('are the four most alike, each with what it shares', () => {
    const found = similarLots(CHARACTER, [
      finished(1, { process: 'natural', elevation: null, brewerShape: 'carafe' }),
      finished(2, {}),
      finished(3, { elevation: { fromM: 1550, toM: 1550 } }),
      finished(4, { roastLevel: 'medium-light' }),
      finished(5, { variety: 'Other' }),
      finished(6, { brewerShape: 'flat-bottom', variety: '' }),
    ]);
    expect(found.map(({ lotId }) => lotId)).toEqual([2, 4, 5, 3]);
    expect(found[0]).toMatchObject({ likeness: 1 });
    expect(found[0]?.because).toEqual([
      'same process',
      'same elevation',
      'same kind of brewer',
      'same roast level',
      'same variety',
    ]);
    expect(found[1]?.because).toContain('neighbouring roast level');
  });

  it('leaves strangers out, and takes one long ferment for kin of another', () => {
    const stranger = finished(1, { process: 'natural', elevation: null, roastLevel: null, variety: '' });
    expect(similarLots(CHARACTER, [stranger])).toEqual([]);
    const [kin] = similarLots({ ...CHARACTER, process: 'anaerobic' }, [
      finished(2, { process: 'long-fermentation' }),
    ]);
    expect(kin?.because).toContain('both long fermented');
  });
});
