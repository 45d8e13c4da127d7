import { expect, it } from 'vitest';
import { homeResults, type HomeResult } from './homeResults.js';

const told = (
  grinder: string,
  drainedS: number,
  taste: HomeResult['taste'] = 'right',
  setting: number | null = null,
) => ({
  grinder,
  drainedS,
  taste,
  setting,
});

it('what kitchens told stands by grinder, the most told first', () => {
  const found = homeResults([
    told('', 200),
    told('Halyard', 160, 'sour', 21),
    told('Halyard', 170, 'right', 23),
    told('Halyard', 180, 'sour', 22),
  ]);
  expect(found.count).toBe(4);
  expect(found.tastes).toEqual({ right: 2, sour: 2 });
  expect(found.grinders).toMatchObject([
    {
      grinder: 'Halyard',
      count: 3,
      medianSetting: 22,
      drainedS: { mean: 170, expected: expect.any(Object) as object },
    },
    { grinder: '', count: 1, medianSetting: null, drainedS: { mean: 200, expected: null } },
  ]);
});

it('nothing told is nothing', () => {
  expect(homeResults([])).toEqual({ count: 0, grinders: [], tastes: {} });
});
