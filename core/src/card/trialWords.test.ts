import { expect, it } from 'vitest';
import { valueOf } from '../result.js';
import { setWater } from '../plan/editPours.js';
import { PLAN } from '../testing/brews.js';
import { trialWords } from './trialWords.js';

const tried = (change: Partial<typeof PLAN>) => trialWords({ from: PLAN, to: { ...PLAN, ...change } });

it('a trial is told by how much was moved, one thing at a time', () => {
  expect(tried({ grindUm: PLAN.grindUm - 60 })).toBe('Grind 60 µm finer.');
  expect(tried({ kettleC: PLAN.kettleC + 2 })).toBe('Set the kettle 2 °C hotter.');
  const waterG = PLAN.pours.reduce((sum, { amountG }) => sum + amountG, 0);
  expect(tried({ pours: valueOf(setWater({ pours: PLAN.pours, waterG: waterG - 20 })) })).toBe(
    'Use 20 g less water.',
  );
  expect(tried({ grindUm: PLAN.grindUm - 60, kettleC: PLAN.kettleC + 2 })).toBeNull();
  expect(tried({})).toBeNull();
  expect(tried({ needlesDry: true })).toBeNull();
});
