import { describe, expect, it } from 'vitest';
import {
  brewerGeometry,
  brewResult,
  compareTrace,
  planAgainstActual,
  planFaults,
  pouredWaterG,
  seededRandom,
  startingRecipe,
  traceFault,
  valueOf,
  type BrewKit,
} from '@vendu/core';
import { inventBrew } from './invent-brew.js';
import { inventRecord } from './invent-record.js';
import { DEMO_LOTS } from './scenario.js';
import { BREWERS, HOUSE, PAPERS } from './scenario-kit.js';

describe('the demo’s brews', () => {
  const random = seededRandom(1);
  const brews = DEMO_LOTS.flatMap((lot) => {
    if (lot.recipe === null) return [];
    const brewer = BREWERS[lot.recipe.brewer];
    const paper = brewer && PAPERS[brewer.paper];
    if (!paper) throw new Error(`${lot.facts.name} names a brewer or a paper that is not there`);
    const kit: BrewKit = {
      brewer: brewerGeometry(brewer, paper),
      paperPerM: paper.resistancePerM,
      ambientC: HOUSE.roomC,
      elevationM: HOUSE.elevationM,
    };
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
      const asked = { plan, brew, truth: lot.truth, kit, roastAgeDays: 8 };
      return { name: lot.facts.name, asked, invented: inventBrew({ ...asked, random }) };
    });
  });

  it.each(brews)(
    'of $name hang together: the yield measured is the yield meant, within its uncertainty',
    ({ asked: { plan }, invented }) => {
      expect(planFaults({ plan })).toEqual([]);
      const { waterG } = pouredWaterG({ plan, done: invented.steps });
      const result = brewResult({
        doseG: plan.doseG,
        waterG,
        beverageG: invented.beverageG,
        readingsPercent: invented.readingsPercent,
      });
      const { yield: measured } = result ?? {};
      // An assumed beverage is known to a band of its own, which is far wider than a weighed one's.
      const within = measured?.basis === 'weighed' ? 2 * measured.uncertaintyPoints : 2.5;
      expect(Math.abs((measured?.yieldPercent ?? 0) - invented.trueYieldPercent)).toBeLessThan(within);
    },
  );

  it('drain, and not before the water is in', () => {
    for (const { asked, invented } of brews) {
      const lastPourS = Math.max(...asked.plan.pours.map(({ startS }) => startS));
      expect(invented.steps.at(-1)?.atS).toBeGreaterThan(lastPourS);
      expect(invented.steps.at(-1)?.atS).toBeLessThan(420);
    }
  });

  it('have a curve and kettle readings that tell the totals and the times of their steps', () => {
    for (const { asked, invented } of brews) {
      const { plan, kit } = asked;
      const { trace, events } = inventRecord({ plan, steps: invented.steps, roomC: kit.ambientC, seed: 3 });
      expect(traceFault(trace)).toBeNull();
      expect(Math.abs((trace.massG.at(-1) ?? 0) - invented.waterG)).toBeLessThan(1.5);
      expect(events).toHaveLength(plan.pours.length);
      const points = trace.atMs.map((atMs, index) => ({ atS: atMs / 1000, totalG: trace.massG[index] ?? 0 }));
      const { pours } = valueOf(compareTrace({ plan, trace: points }));
      const marked = planAgainstActual({ plan, done: invented.steps }).filter(
        ({ step }) => step.kind === 'pour',
      );
      for (const [index, { startS }] of pours.entries()) {
        expect(Math.abs((startS ?? 0) - (marked[index]?.doneS ?? 0))).toBeLessThan(1.5);
      }
    }
  });

  it('are the same for the same seed', () => {
    const [first] = brews;
    if (!first) throw new Error('the demo has no brew');
    const again = () => inventBrew({ ...first.asked, random: seededRandom(7) });
    expect(again()).toEqual(again());
  });
});
