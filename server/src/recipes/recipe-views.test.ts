import { describe, expect, it } from 'vitest';
import type { BrewPlan } from '@vendu/core';
import type { GrinderView } from '@vendu/contract';
import { settingFor } from './recipe-views.js';

const GRINDER: GrinderView = {
  id: 1,
  revision: 0,
  name: 'Grinder',
  burrSet: 'flat',
  owner: '',
  settingStep: 0.5,
  points: [
    { setting: 2, grindUm: 500 },
    { setting: 10, grindUm: 1100 },
  ],
  finestSetting: null,
  coarsestSetting: null,
  burrsKg: null,
  retainedG: null,
  words: [],
};
const plan = (grindUm: number) => ({ grindUm }) as BrewPlan;

describe('the setting of the house grinder', () => {
  it('is given to the nearest step of its scale', () => {
    // Computed: 2 + (700 - 500) / 600 x 8 = 4.67, on a scale of halves 4.5.
    expect(settingFor(plan(700), GRINDER)).toEqual({
      grinderSetting: 4.5,
      grinderNote: '',
      secondSetting: null,
    });
    expect(
      settingFor({ ...plan(700), secondGrind: { grindUm: 800, sharePercent: 40 } }, GRINDER),
    ).toMatchObject({
      grinderSetting: 4.5,
      // Computed: 2 + (800 - 500) / 600 x 8.
      secondSetting: 6,
    });
  });

  it('is not given past its measured span, with the reason', () => {
    const { grinderSetting, grinderNote } = settingFor(plan(450), GRINDER);
    expect(grinderSetting).toBeNull();
    expect(grinderNote).toContain('not measured finer than 500 µm');
  });
});
