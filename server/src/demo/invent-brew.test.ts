import { describe, expect, it } from 'vitest';
import { brewResult, planFaults, pouredWaterG, seededRandom, startingRecipe } from '@vendu/core';
import { inventBrew } from './invent-brew.js';
import { BREWERS, DEMO_LOTS, HOUSE } from './scenario.js';

describe('the demo’s brews', () => {
  const random = seededRandom(1);
  const brews = DEMO_LOTS.flatMap((lot) => {
    if (lot.recipe === null) return [];
    const brewer = BREWERS[lot.recipe.brewer];
    if (!brewer) throw new Error(`${lot.facts.name} names a brewer that is not there`);
    let { plan } = startingRecipe({
      process: lot.facts.process,
      elevation: null,
      roastLevel: lot.roastLevel,
      roastAgeDays: 8,
      brewer,
      labElevationM: HOUSE.elevationM,
    });
    return lot.brews.map((brew) => {
      plan = brew.change?.apply(plan) ?? plan;
      return { name: lot.facts.name, plan, brew, invented: inventBrew({ plan, brew, random }) };
    });
  });

  it.each(brews)(
    'of $name hang together: the yield measured is the yield meant, within its uncertainty',
    ({ plan, brew, invented }) => {
      expect(planFaults({ plan })).toEqual([]);
      const { waterG } = pouredWaterG({ plan, done: invented.steps });
      const result = brewResult({
        doseG: plan.doseG,
        waterG,
        beverageG: invented.beverageG ?? waterG - brew.trueRetainedGPerG * plan.doseG,
        readingsPercent: invented.readingsPercent,
      });
      const { yield: measured } = result ?? {};
      const uncertainty = measured?.basis === 'weighed' ? measured.uncertaintyPoints : 0;
      expect(Math.abs((measured?.yieldPercent ?? 0) - brew.trueYieldPercent)).toBeLessThan(2 * uncertainty);
    },
  );

  it('are the same for the same seed', () => {
    const [first] = brews;
    if (!first) throw new Error('the demo has no brew');
    const again = () => inventBrew({ plan: first.plan, brew: first.brew, random: seededRandom(7) });
    expect(again()).toEqual(again());
  });
});
