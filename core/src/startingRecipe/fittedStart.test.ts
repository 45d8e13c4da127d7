import { describe, expect, it } from 'vitest';
import { CLASSIC_WINDOW } from '../extraction/extractionMap.js';
import { SCHOOLS, USUAL_SCHOOLS, type Schools } from '../schools/schools.js';
import { asItWaits } from '../forecast/asItWaits.js';
import { planFaults } from '../plan/planFaults.js';
import { planRatio } from '../plan/plan.js';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { calibrateLot } from '../calibration/calibrateLot.js';
import { conditionsOfPlan } from '../calibration/conditions.js';
import { lotPrior } from '../calibration/priors.js';
import { modelledBrew } from '../calibration/modelled.js';
import { valueOf } from '../result.js';
import type { StartingFacts } from './facts.js';
import { fittedStart } from './fittedStart.js';
import { meetingPoint, ratioForAim } from './ratioForAim.js';
import { earlierLots, similarLots, type FinishedLot, type LotCharacter } from './similarLots.js';

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
    earlierLots: [],
    ...more,
  });

const CHARACTER: LotCharacter = {
  process: 'washed',
  baseProcess: null,
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
  it('comes nearer to the yield than the rules alone, and says what drain time follows', () => {
    const { plan, reasons, forecast } = start();
    const { grindFit } = reasons;
    const factors = valueOf(calibrateLot({ brews: [] })).factors;
    const asRuled = modelledBrew(
      conditionsOfPlan({ plan: { ...plan, grindUm: grindFit.wantedUm }, kit: CONE_KIT, roastAgeDays: 10 }),
      factors,
    );
    expect(Math.abs(grindFit.yieldPercent - grindFit.targetYieldPercent)).toBeLessThanOrEqual(
      Math.abs(asRuled.yieldPercent - grindFit.targetYieldPercent) + 0.05,
    );
    expect(plan.grindUm).toBe(grindFit.grindUm);
    expect(grindFit.targetDrawdownS).toBeNull();
    expect(Math.abs(plan.drawdownS - forecast.drawdownS.value)).toBeLessThanOrEqual(2.5);
  });

  it('fits the grind towards what the rules asked for: 70 µm from them is worth a point of yield', () => {
    const { plan, reasons } = start();
    const { wantedUm, grindUm, targetYieldPercent } = reasons.grindFit;
    const { factors } = valueOf(
      calibrateLot({ brews: [], prior: lotPrior({ process: 'washed', roastLevel: 'medium-light' }) }),
    );
    const regret = (size: number) => {
      const brew = conditionsOfPlan({ plan: { ...plan, grindUm: size }, kit: CONE_KIT, roastAgeDays: 10 });
      const { yieldPercent } = modelledBrew(brew, factors);
      return (yieldPercent - targetYieldPercent) ** 2 + ((size - wantedUm) / 70) ** 2;
    };
    const sizes = Array.from({ length: 60 }, (_, index) => 450 + index * 10);
    expect(sizes.reduce((best, size) => (regret(size) < regret(best) ? size : best))).toBe(grindUm);
  });

  it('can be brewed whatever the house holds, with the end where the forecast sees it', () => {
    const stands = Object.entries(SCHOOLS).flatMap(([point, all]) =>
      all.map((stand) => ({ [point]: stand })),
    );
    for (const stand of stands) {
      const { plan, forecast } = start({ facts: { ...FACTS, schools: { ...USUAL_SCHOOLS, ...stand } } });
      expect({ stand, faults: planFaults({ plan }) }).toEqual({ stand, faults: [] });
      if (plan.lifts) continue;
      expect(plan.drawdownS).toBeGreaterThanOrEqual(forecast.drawdownS.low);
      expect(plan.drawdownS).toBeLessThanOrEqual(forecast.drawdownS.high);
    }
  });

  it('expects what a pour waits for at the time that its plan says', () => {
    const { plan } = start({
      facts: { ...FACTS, schools: { ...USUAL_SCHOOLS, 'pour-when': 'when-drained' } },
    });
    const { factors } = valueOf(
      calibrateLot({ brews: [], prior: lotPrior({ ...FACTS, roastLevel: 'medium-light' }) }),
    );
    expect(plan.pours.at(-1)?.startsWhen).toBe('through');
    expect(asItWaits({ plan, kit: CONE_KIT, factors, roastAgeDays: FACTS.roastAgeDays }).pours).toEqual(
      plan.pours,
    );
  });

  it('fits a sieved and a blended grind as they are brewed, each for the yield of the aim', () => {
    const yieldOf = (fines: Schools['fines']) => {
      const { plan, reasons, forecast } = start({
        facts: { ...FACTS, schools: { ...USUAL_SCHOOLS, fines } },
      });
      expect(plan.grindUm).toBe(reasons.grindFit.grindUm);
      return { grindUm: plan.grindUm, yieldPercent: forecast.yieldPercent.value };
    };
    const [leave, sieve, blend] = [yieldOf('leave'), yieldOf('sieve'), yieldOf('blend-grinds')];
    // Without fines, or with a coarser part, the same yield asks for a finer grind.
    expect(sieve.grindUm).toBeLessThan(leave.grindUm);
    expect(blend.grindUm).toBeLessThan(leave.grindUm);
    expect(Math.abs(blend.yieldPercent - leave.yieldPercent)).toBeLessThan(0.7);
  });

  it('goes for a drain time only where a person set one', () => {
    const timed = start({ aim: { ...CLASSIC_WINDOW, drainLowS: 230, drainHighS: 250 } });
    expect(timed.reasons.grindFit.targetDrawdownS).toBe(240);
    expect(timed.plan.grindUm).toBeLessThan(start().plan.grindUm);
    const short = start({ facts: { ...FACTS, schools: { ...USUAL_SCHOOLS, length: 'short' } } });
    expect(short.reasons.grindFit.targetDrawdownS).toBeLessThan(120);
  });

  // Computed: mass balance, beverage = water - retained x dose and strength = yield x dose / beverage.
  it('aims, where a push left the ratio of the middle, at the point of its line that is nearest to the middle', () => {
    // Computed: at 1:17 with 2 g/g kept, beverage is 15 x dose; 1.25 + 0.1 x off on 20 - 2 x off gives off = 0.357.
    expect(meetingPoint(CLASSIC_WINDOW, { ratio: 17, retainedGPerG: 2 })).toEqual({
      yieldPercent: expect.closeTo(19.286, 2) as number,
      tdsPercent: expect.closeTo(1.286, 3) as number,
    });
    const { ratio } = ratioForAim(CLASSIC_WINDOW, 2);
    expect(meetingPoint(CLASSIC_WINDOW, { ratio, retainedGPerG: 2 }).yieldPercent).toBeCloseTo(20, 1);
    // Far off its line the strength is gone for: 12 x 1.25.
    expect(meetingPoint(CLASSIC_WINDOW, { ratio: 14, retainedGPerG: 2 })).toEqual({
      yieldPercent: 15,
      tdsPercent: 1.25,
    });
  });

  it('brews tight where the house does, whatever the aim asks of the ratio, and meets the strength by the grind', () => {
    const schools = { ...USUAL_SCHOOLS, style: 'coarse-cool-tight', aim: 'light' } as const;
    const tight = start({ facts: { ...FACTS, schools } });
    expect(planRatio(tight.plan)).toBeLessThan(15);
    expect(planRatio(tight.plan)).toBeGreaterThanOrEqual(14);
    expect(tight.plan.grindUm).toBeGreaterThan(start().plan.grindUm + 50);
    expect(tight.reasons.ratioForAim).toBeUndefined();
    // Common practice of that position: 1.20 to 1.25 %.
    expect(tight.forecast.tdsPercent.value).toBeLessThan(1.4);
    const off = start({ facts: { ...FACTS, schools }, switchedOff: ['school-coarse-cool-tight'] });
    expect(off.reasons.ratioForAim).toBeDefined();
  });

  it('stops early by lifting the brewer, at the ratio of any other recipe', () => {
    const short = start({ facts: { ...FACTS, schools: { ...USUAL_SCHOOLS, length: 'short' } } });
    expect(short.plan.lifts).toBe(true);
    expect(short.plan.drawdownS).toBeLessThan(120);
    expect(Math.abs(planRatio(short.plan) - planRatio(start().plan))).toBeLessThan(0.3);
  });

  it('takes the ratio at which strength and yield meet in the middle of the aim', () => {
    const facts: StartingFacts = { ...FACTS, process: 'honey' };
    for (const [aim, yieldPercent, tdsPercent] of [
      [{ tdsLowPercent: 1.2, tdsHighPercent: 1.4, yieldLowPercent: 18.5, yieldHighPercent: 21.5 }, 20, 1.3],
      [{ tdsLowPercent: 1.3, tdsHighPercent: 1.5, yieldLowPercent: 18, yieldHighPercent: 20 }, 19, 1.4],
    ] as const) {
      const { plan, reasons, forecast } = start({ facts, aim });
      const { retainedGPerG = 0, ratio } = reasons.ratioForAim ?? {};
      expect(ratio).toBeCloseTo(retainedGPerG + yieldPercent / tdsPercent, 1);
      // Water is rounded to 5 g, which moves the ratio by up to 0.16 at 16 g.
      expect(Math.abs(planRatio(plan) - (ratio ?? 0))).toBeLessThan(0.2);
      expect(forecast.tdsPercent.value).toBeGreaterThan(aim.tdsLowPercent);
      expect(forecast.tdsPercent.value).toBeLessThan(aim.tdsHighPercent);
    }
  });

  it('lets rules move the ratio to the strong or the weak side of the aim, never out of it', () => {
    const [natural, coFermented] = (['natural', 'co-fermented'] as const).map((process) =>
      start({ facts: { ...FACTS, process } }),
    );
    const ratioReason = natural?.reasons.figures.find(({ figure }) => figure === 'ratio');
    expect(planRatio(natural?.plan ?? PLAN)).toBeLessThan(planRatio(coFermented?.plan ?? PLAN));
    expect(ratioReason?.value).toBeGreaterThanOrEqual(natural?.reasons.ratioForAim?.tightest ?? 99);
    expect(ratioReason?.houseValue).toBe(natural?.reasons.ratioForAim?.ratio);
  });

  it('aims where the recipe aims, before its school and the house', () => {
    const high = { ...CLASSIC_WINDOW, yieldLowPercent: 22, yieldHighPercent: 24 };
    const { grindFit } = start({ aim: high }).reasons;
    expect(grindFit.targetYieldPercent).toBeGreaterThan(22);
    expect(grindFit.targetYieldPercent).toBeLessThan(24);
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
    expect(high.reasons.grindFit.targetYieldPercent).toBeGreaterThan(21);
    expect(high.reasons.grindFit.targetYieldPercent).toBeLessThan(22);
  });

  it('stays within the grinder and says when that held it back', () => {
    const coarseOnly = start({ reach: { finestUm: 900, coarsestUm: 1200 } });
    expect(coarseOnly.plan.grindUm).toBe(900);
    expect(coarseOnly.reasons.grindFit.atGrindersEnd).toBe(true);
    expect(start().reasons.grindFit.atGrindersEnd).toBe(false);
  });

  it('is a rough range, and learns from all of the house’s earlier lots, most from those in the same kind of brewer', () => {
    expect(start().forecast.isRough).toBe(true);
    const { plan } = start();
    const brew = conditionsOfPlan({ plan, kit: CONE_KIT, roastAgeDays: 10 });
    // Four lots that gave little: the house's lots, or its kit, extract less than the model thinks.
    const thin = { brew, drawdownS: 170, tdsPercent: 1.1, beverageG: 225 };
    const { evidence } = valueOf(calibrateLot({ brews: [thin, thin] }));
    const grindAfter = (change: Partial<FinishedLot>) => {
      const lots = [1, 2, 3, 4].map((id) => finished(id, { evidence, ...change }));
      return start({ earlierLots: earlierLots(CHARACTER, lots) }).plan.grindUm;
    };
    const same = grindAfter({});
    expect(same).toBeLessThan(plan.grindUm);
    expect(grindAfter({ process: 'anaerobic', elevation: null, roastLevel: null })).toBe(same);
    const other = grindAfter({ brewerShape: 'flat-bottom' });
    expect(other).toBeLessThan(plan.grindUm);
    expect(other).toBeGreaterThan(same);
    expect(grindAfter({ evidence: null })).toBe(plan.grindUm);
    // Two accepted recipes of one lot teach once, as the one in the same kind of brewer.
    const twice = [finished(1, { evidence, brewerShape: 'flat-bottom' }), finished(1, { evidence })];
    expect(earlierLots(CHARACTER, twice)).toEqual([{ evidence, likeness: 1 }]);
    // Another kit tells half as much of the house (assumed).
    const another = [finished(1, { evidence, brewerShape: 'flat-bottom' })];
    expect(earlierLots(CHARACTER, another)).toEqual([{ evidence, likeness: 0.5 }]);
  });
});

describe('similar lots', () => {
  it('count a co-fermented lot among the long fermented ones', () => {
    const lot = { ...CHARACTER, process: 'co-fermented' as const };
    const [found] = similarLots(lot, [finished(1, { process: 'carbonic-maceration' })]);
    expect(found?.because).toContain('both long fermented');
    expect(similarLots(lot, [finished(1, { process: 'washed' })])[0]?.because).not.toContain(
      'both long fermented',
    );
  });

  it('compares an elevation told as a word by that, and a process that nobody told by nothing', () => {
    const because = (lot: Partial<typeof CHARACTER>, other: Parameters<typeof finished>[1]) =>
      similarLots({ ...CHARACTER, ...lot }, [finished(1, other)])[0]?.because;
    const high = { fromM: 1900, toM: 1900 };
    expect(because({ elevation: high }, { elevation: 'high' })).toContain('both grown high');
    expect(because({ elevation: 'low' }, { elevation: 'low' })).toContain('both grown low');
    expect(because({ elevation: 'low' }, { elevation: 'high' })).not.toContain('both grown low');
    expect(because({ elevation: 'middling' }, { elevation: 'middling' })?.join()).not.toContain('grown');
    expect(because({ process: 'not-known' }, { process: 'not-known' })).not.toContain('same process');
  });

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
