import { describe, expect, it } from 'vitest';
import { PAPER_PER_M } from '../brewModel/hardware.js';
import { planRatio } from '../plan/plan.js';
import type { StartingFacts } from './facts.js';
import { startingRecipe } from './startingRecipe.js';

// A dozen lots as unlike each other as lots come, each with what a careful barista would expect of its first
// recipe. Common practice throughout; the bounds are wide because the sizes are the house's own.
const at = (elevationM: number) => ({ fromM: elevationM, toM: elevationM });
const USUAL: Omit<StartingFacts, 'process'> = {
  elevation: at(1500),
  roastLevel: 'medium-light',
  roastAgeDays: 10,
  brewer: { shape: 'cone', usualDoseG: 16 },
  labElevationM: 0,
};

interface Expectation {
  kettleC?: [number, number];
  ratio?: [number, number];
  grindUm?: [number, number];
  pours?: number;
  swirled?: boolean;
  drawdownS?: [number, number];
}

const LOTS: [string, Partial<StartingFacts> & Pick<StartingFacts, 'process'>, Expectation][] = [
  [
    'high, washed, light',
    { process: 'washed', elevation: at(2000), roastLevel: 'light' },
    { kettleC: [96, 98], ratio: [16, 17], drawdownS: [90, 180] },
  ],
  ['washed in the middle', { process: 'washed' }, { ratio: [16, 17], pours: 3 }],
  [
    'low, washed',
    { process: 'washed', elevation: at(900) },
    { grindUm: [500, 660], pours: 4, kettleC: [94, 98] },
  ],
  ['natural', { process: 'natural' }, { ratio: [14, 15.8] }],
  ['honey', { process: 'honey' }, { kettleC: [90, 94], grindUm: [680, 800] }],
  ['anaerobic, high', { process: 'anaerobic', elevation: at(1900) }, { kettleC: [88, 92], swirled: false }],
  ['carbonic maceration', { process: 'carbonic-maceration' }, { kettleC: [88, 92], swirled: false }],
  [
    'anaerobic, low: the draining wins',
    { process: 'anaerobic', elevation: at(1000) },
    { kettleC: [94, 98], pours: 4 },
  ],
  [
    'anaerobic, low by word of mouth: the same',
    { process: 'anaerobic', elevation: 'low' },
    { kettleC: [94, 98], pours: 4 },
  ],
  [
    'washed, said to be high',
    { process: 'washed', elevation: 'high', roastLevel: 'light' },
    { kettleC: [96, 98] },
  ],
  [
    'nothing known: the house recipe, with no rule for a process nobody told',
    { process: 'not-known', elevation: null },
    { kettleC: [92, 94], ratio: [15.8, 16.2], pours: 3 },
  ],
  ['co-fermented', { process: 'co-fermented' }, { ratio: [16.5, 17], pours: 2, drawdownS: [90, 180] }],
  ['decaffeinated', { process: 'decaffeinated' }, { ratio: [14, 15.5], grindUm: [600, 680] }],
  [
    'natural for sharing, thick paper',
    { process: 'natural', brewer: { shape: 'carafe', usualDoseG: 32 }, paperPerM: PAPER_PER_M.thick },
    { grindUm: [840, 1000], drawdownS: [240, 360] },
  ],
  [
    'a large batch in a carafe',
    { process: 'washed', brewer: { shape: 'carafe', usualDoseG: 45 } },
    { pours: 5, drawdownS: [330, 360] },
  ],
  [
    'developed roast',
    { process: 'washed', roastLevel: 'medium-dark' },
    { kettleC: [88, 92], grindUm: [700, 800] },
  ],
  [
    'nothing known but the process',
    { process: 'washed', elevation: null, roastLevel: null },
    { kettleC: [95, 97], pours: 3 },
  ],
];

describe('the starting recipe of contrasting lots', () => {
  it.each(LOTS)('%s', (_, facts, expected) => {
    const { plan } = startingRecipe({ ...USUAL, ...facts });
    const inside = (value: number, bounds: [number, number] | undefined) => {
      if (!bounds) return;
      expect(value).toBeGreaterThanOrEqual(bounds[0]);
      expect(value).toBeLessThanOrEqual(bounds[1]);
    };
    inside(plan.kettleC, expected.kettleC);
    inside(plan.grindUm, expected.grindUm);
    inside(plan.drawdownS, expected.drawdownS);
    // Water is rounded to 5 g, which moves the ratio by up to 0.16 at 16 g.
    inside(Math.round(planRatio(plan) * 10) / 10, expected.ratio);
    if (expected.pours !== undefined) expect(plan.pours).toHaveLength(expected.pours);
    if (expected.swirled !== undefined)
      expect(plan.pours.some(({ agitation }) => agitation === 'swirl')).toBe(expected.swirled);
  });
});
