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

it('says where it was right from three kitchens on, whatever the others had', () => {
  const right = [22, 21, 24].map((setting) => told('Halyard', 165, 'right', setting));
  const [two] = homeResults([...right.slice(1), told('Halyard', 240, 'bitter', 12)]).grinders;
  expect(two?.rightAt).toBeNull();
  const [three] = homeResults([
    ...right,
    told('Halyard', 240, 'bitter', 12),
    told('Halyard', 150, 'right'),
  ]).grinders;
  expect(three?.rightAt).toEqual({ setting: 22, low: 21, high: 24, count: 3 });
});

it('nothing told is nothing', () => {
  expect(homeResults([])).toEqual({ count: 0, grinders: [], tastes: {} });
});
