import { describe, expect, it } from 'vitest';
import { pourKettlesC } from '../plan/plan.js';
import { planFaults } from '../plan/planFaults.js';
import { staircase, staircaseTotalG } from '../plan/staircase.js';
import { planWaterG } from '../plan/plan.js';
import type { StartingFacts } from './facts.js';
import { startingRecipe } from './startingRecipe.js';

const LOT: StartingFacts = {
  process: 'anaerobic',
  elevation: { fromM: 1500, toM: 1500 },
  roastLevel: 'light',
  roastAgeDays: 10,
  brewer: { shape: 'cone', usualDoseG: 16 },
  labElevationM: 0,
};
const HIGH: StartingFacts = { ...LOT, process: 'washed', elevation: { fromM: 2000, toM: 2100 } };
const offered = (facts: StartingFacts) => (startingRecipe(facts).reasons.offers ?? []).map(({ id }) => id);

// Common practice: what some do with such lots, and others do not.
describe('what is offered beside a starting recipe', () => {
  it('goes by the lot, and changes nothing until it is taken', () => {
    expect(offered(LOT)).toEqual(['hot-first']);
    expect(offered(HIGH)).toEqual(['chilled-first']);
    expect(offered({ ...HIGH, process: 'natural' })).toEqual([]);
    expect(startingRecipe(LOT).plan.pours.every(({ kettleC }) => kettleC === undefined)).toBe(true);
    expect(startingRecipe(HIGH).plan.ballUntilS).toBeUndefined();
    // Of one pour no part can be hotter.
    expect(offered({ ...LOT, signs: ['no-bloom-rise'], process: 'long-fermentation' })).toEqual([
      'hot-first',
    ]);
  });

  it('a hot first pour is on a step of the thermostat', () => {
    const { plan } = startingRecipe({ ...LOT, kettleStepC: 2 }, { offersTaken: ['hot-first'] });
    expect(plan.kettleC % 2).toBe(0);
    expect(plan.kettleC).toBeGreaterThan(pourKettlesC(plan)[1] ?? 99);
  });

  it('a hot first pour is poured hotter, and the rest as cool as without', () => {
    const cool = startingRecipe(LOT).plan;
    const { plan, reasons } = startingRecipe(LOT, { offersTaken: ['hot-first'] });
    const [first, ...rest] = pourKettlesC(plan);
    expect(first).toBe(cool.kettleC + 5);
    expect(rest.every((kettleC) => kettleC === cool.kettleC)).toBe(true);
    expect(reasons.offers?.[0]?.isTaken).toBe(true);
    expect(planFaults({ plan })).toEqual([]);
    // At 3,000 m water boils at about 90 °C.
    const high = startingRecipe({ ...LOT, labElevationM: 3000 }, { offersTaken: ['hot-first'] }).plan;
    expect(planFaults({ plan: high, boilingC: 90 })).toEqual([]);
  });

  it('a chilled first quarter ends when a quarter of the water is in', () => {
    const { plan } = startingRecipe(HIGH, { offersTaken: ['chilled-first'] });
    const points = staircase({ pours: plan.pours, endS: plan.drawdownS });
    const share = staircaseTotalG({ points, atS: plan.ballUntilS ?? 0 }) / planWaterG(plan);
    expect(share).toBeGreaterThan(0.22);
    expect(share).toBeLessThan(0.28);
    expect(planFaults({ plan })).toEqual([]);
  });

  it('is nothing that can be taken of a lot to which it is not offered', () => {
    const { ballUntilS } = startingRecipe(LOT, { offersTaken: ['chilled-first'] }).plan;
    expect(ballUntilS).toBeUndefined();
  });
});
