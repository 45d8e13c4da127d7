import { describe, expect, it } from 'vitest';
import { grinderFaults } from './grinderFaults.js';

const SOUND = {
  finestSetting: 0,
  coarsestSetting: 12,
  points: [
    { setting: 0, grindUm: 400 },
    { setting: 12, grindUm: 1200 },
  ],
  words: [{ word: 'medium', fromSetting: 5, toSetting: 5 }],
};
const faultsOf = (changed: Partial<Parameters<typeof grinderFaults>[0]>) =>
  grinderFaults({ ...SOUND, ...changed }).map(({ field }) => field);

describe('the scale of a grinder', () => {
  it('has its points between its ends, and needs neither end', () => {
    expect(faultsOf({})).toEqual([]);
    expect(faultsOf({ finestSetting: null, coarsestSetting: null })).toEqual([]);
    expect(faultsOf({ finestSetting: 1 })).toEqual(['points.0.setting']);
    expect(faultsOf({ coarsestSetting: 11 })).toEqual(['points.1.setting']);
  });

  it('and its words run from fine to coarse', () => {
    expect(faultsOf({ finestSetting: 12, points: [] })).toEqual(['coarsestSetting']);
    expect(faultsOf({ words: [{ word: 'medium', fromSetting: 6, toSetting: 5 }] })).toEqual([
      'words.0.toSetting',
    ]);
  });
});
