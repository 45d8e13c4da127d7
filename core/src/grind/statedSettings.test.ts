import { describe, expect, it } from 'vitest';
import { valueOf } from '../result.js';
import { grindEquivalent } from './grindEquivalent.js';
import { grinderWord } from './grinderWords.js';
import { statedAgainstMeasured, statedAtOdds } from './statedSettings.js';

const points = (...pairs: [number, number][]) => pairs.map(([setting, grindUm]) => ({ setting, grindUm }));
const GRINDER = { points: points([2, 400], [10, 1200]), settingStep: 0.5 };
const OTHER = { points: points([10, 500], [30, 1100]), settingStep: 1 };

describe('what others state of two grinders', () => {
  it('agrees with both curves where they grind alike, within what is known of them', () => {
    const known = (setting: number, grindUm: number) => ({
      points: [
        { setting: 0, grindUm: 300, sdUm: 20 },
        { setting, grindUm, sdUm: 20 },
        { setting: 40, grindUm: 1300, sdUm: 20 },
      ],
      settingStep: 1,
    });
    const judged = (otherUm: number) =>
      valueOf(
        statedAgainstMeasured({
          stated: { setting: 5, otherSetting: 17 },
          grinder: known(5, 700),
          other: known(17, otherUm),
        }),
      );
    // Computed: nine of ten within 1.645 x sqrt(20² + 20²) = 46.5 µm.
    expect(judged(745)).toMatchObject({ grindUm: 700, otherUm: 745, isAtOdds: false });
    expect(judged(745).withinUm).toBeCloseTo(46.5, 1);
    expect(judged(748)).toMatchObject({ isAtOdds: true });
    expect(judged(650)).toMatchObject({ isAtOdds: true });
  });

  it('is not judged where a grinder was not measured', () => {
    const beyond = statedAgainstMeasured({
      stated: { setting: 11, otherSetting: 17 },
      grinder: GRINDER,
      other: OTHER,
    });
    expect(beyond).toMatchObject({ ok: false, reason: 'not-measured' });
  });

  const steps = { settingStep: 0.5, otherStep: 1 };
  it.each([
    ['one setting, two answers', { setting: 6, otherSetting: 22 }, { setting: 6, otherSetting: 25 }, true],
    [
      'one setting, answers a step apart',
      { setting: 6, otherSetting: 22 },
      { setting: 6, otherSetting: 23 },
      false,
    ],
    ['coarser here, finer there', { setting: 6, otherSetting: 22 }, { setting: 8, otherSetting: 18 }, true],
    ['coarser on both', { setting: 6, otherSetting: 22 }, { setting: 8, otherSetting: 26 }, false],
  ])('two statements: %s', (_, one, another, isAtOdds) => {
    expect(statedAtOdds(one, another, steps)).toBe(isAtOdds);
    expect(statedAtOdds(another, one, steps)).toBe(isAtOdds);
  });
});

describe('the scale of a grinder', () => {
  it('that goes on past what was measured is not said to end there', () => {
    const coarse = { ...GRINDER, coarsestSetting: 14, finestSetting: 2 };
    expect(grindEquivalent({ grinder: coarse, grindUm: 1400 })).toEqual({
      kind: 'not-measured',
      message: 'Not measured coarser than at 10; its scale goes on to 14. Measure a point there.',
    });
    // It is measured down to where it ends.
    expect(grindEquivalent({ grinder: coarse, grindUm: 300 }).kind).toBe('out-of-reach');
    expect(grindEquivalent({ grinder: GRINDER, grindUm: 1400 }).kind).toBe('out-of-reach');
  });

  it('has words, of which the narrower one is said', () => {
    const words = [
      { word: 'filter', fromSetting: 2, toSetting: 8 },
      { word: 'medium-fine', fromSetting: 4, toSetting: 5 },
    ];
    expect([3, 4, 5, 5.1, 9].map((setting) => grinderWord(words, setting))).toEqual([
      'filter',
      'medium-fine',
      'medium-fine',
      'filter',
      null,
    ]);
  });
});
