import { describe, expect, it } from 'vitest';
import type { BrewPlan } from '../plan/plan.js';
import { drainAdviceS, tasteAdvice } from './tasteAdvice.js';

const PLAN: BrewPlan = {
  doseG: 16,
  grindUm: 640,
  kettleC: 94,
  drawdownS: 155,
  pours: [
    { startS: 0, amountG: 40, flowGps: 8, agitation: 'none', isBloom: true },
    { startS: 45, amountG: 220, flowGps: 8, agitation: 'none', isBloom: false },
  ],
};
const said = (plan: BrewPlan, taste: string) =>
  tasteAdvice(plan).find((each) => each.taste === taste)?.change;

describe('what a card advises by taste', () => {
  it('moves the grind by sour and bitter, as common practice has it', () => {
    expect(said(PLAN, 'sour, thin')).toContain('finer');
    expect(said(PLAN, 'bitter, dry')).toContain('coarser');
  });

  it('never speaks of a bloom that the plan does not have', () => {
    expect(said(PLAN, 'sour and bitter')).toContain('bloom');
    const pours = PLAN.pours.map((pour) => ({ ...pour, isBloom: false }));
    expect(JSON.stringify(tasteAdvice({ ...PLAN, pours }))).not.toContain('bloom');
  });

  it('moves the strength in the recipe’s own grams', () => {
    // 7 % of 260 g is 18 g, told in steps of 5.
    expect(said(PLAN, 'right, but too strong')).toBe('Add 20 g of hot water to the cup.');
    expect(said(PLAN, 'right, but too weak')).toBe('End the last pour at 240 g instead of 260 g.');
    expect(said({ ...PLAN, bypassG: 35 }, 'right, but too weak')).toBe(
      'Add 15 g of water afterwards instead of 35 g.',
    );
  });

  it('tells from when the drain speaks of the grinder, and nothing where the brewer is lifted', () => {
    expect(drainAdviceS(PLAN)).toEqual({ earlyS: 125, lateS: 185 });
    expect(drainAdviceS({ ...PLAN, lifts: true })).toBeNull();
  });
});
