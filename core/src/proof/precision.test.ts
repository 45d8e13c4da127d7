import { describe, expect, it } from 'vitest';
import { precisionOf } from './precision.js';

const values = (groups: readonly (readonly number[])[]) =>
  groups.flatMap((group, index) => group.map((value) => ({ by: `lab ${index + 1}`, value })));

describe('precision of a figure', () => {
  // Sulphur in coal, eight laboratories with unequal numbers: mean 0.690, 0.015 and 0.026 % (ISO 5725-2:1994, B.1,
  // level 1; data and results from memory).
  it('comes to the worked example of the standard', () => {
    const found = precisionOf(
      values([
        [0.71, 0.71, 0.7, 0.71],
        [0.69, 0.67, 0.68],
        [0.66, 0.65, 0.69],
        [0.67, 0.65, 0.66],
        [0.7, 0.69, 0.66, 0.71, 0.69],
        [0.73, 0.74, 0.73],
        [0.71, 0.71, 0.69],
        [0.7, 0.65, 0.68],
      ]),
    );
    expect(found?.mean).toBeCloseTo(0.69, 2);
    expect(found?.repeatabilitySd).toBeCloseTo(0.015, 3);
    expect(found?.reproducibilitySd).toBeCloseTo(0.026, 3);
    expect(found).toMatchObject({ count: 27, hands: 8 });
  });

  it('says nothing of what nobody tried', () => {
    expect(precisionOf([])).toBeNull();
    expect(precisionOf(values([[1.3]]))).toMatchObject({
      repeatabilitySd: null,
      reproducibilitySd: null,
      expected: null,
    });
    expect(precisionOf(values([[1.3], [1.4]]))).toMatchObject({
      repeatabilitySd: null,
      reproducibilitySd: null,
      expected: null,
    });
    const alone = precisionOf(values([[1.3, 1.34]]));
    expect(alone?.repeatabilitySd).toBeCloseTo(0.04 / Math.SQRT2);
    expect(alone?.reproducibilitySd).toBeNull();
  });

  // Student's t for 90 % on both sides, two degrees of freedom: 2.920 (table of any textbook).
  it('expects the next brew by Student', () => {
    const three = precisionOf(values([[1.2, 1.3, 1.4]]));
    expect((three?.expected?.high ?? 0) - 1.3).toBeCloseTo(2.92 * 0.1 * Math.sqrt(4 / 3), 3);
  });

  it('hands that agree better than the hand itself add nothing', () => {
    const { repeatabilitySd, reproducibilitySd } = precisionOf(
      values([
        [1, 3],
        [1, 3],
      ]),
    )!;
    expect(reproducibilitySd).toBe(repeatabilitySd);
  });
});
