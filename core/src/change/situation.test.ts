import { describe, expect, it } from 'vitest';
import { situationOf, type LastBrew } from './situation.js';

const AIM = {
  tdsPercent: { low: 1.3, high: 1.4 },
  yieldPercent: { low: 20, high: 21 },
  drawdownS: { low: 160, high: 180 },
};
const brewed = (changes: Partial<LastBrew> = {}): LastBrew => ({
  tdsPercent: 1.35,
  yieldPercent: 20.5,
  drawdownS: 170,
  uncertainty: { tdsPercent: 0.02, yieldPercent: 0.3, drawdownS: 4 },
  ...changes,
});

describe('where the last brew stands', () => {
  it('is said of strength, yield and time apart', () => {
    expect(situationOf(brewed({ tdsPercent: 1.2, yieldPercent: 22, drawdownS: null }), AIM)).toMatchObject({
      strength: 'low',
      yield: 'high',
      time: 'unknown',
    });
    expect(situationOf(brewed(), AIM)).toMatchObject({ strength: 'on-aim', yield: 'on-aim', time: 'on-aim' });
  });

  it('is known of nothing before there is one', () => {
    expect(situationOf(null, AIM)).toEqual({
      strength: 'unknown',
      yield: 'unknown',
      time: 'unknown',
      withinUncertainty: false,
    });
  });
});

// Two standard uncertainties: about 95 of 100 (JCGM 100:2008, from memory).
describe('a brew is within what its instruments leave open', () => {
  it.each([
    ['on its aim', {}],
    ['as far below as two uncertainties of strength', { tdsPercent: 1.265 }],
    ['as far above', { tdsPercent: 1.435 }],
    ['as far below in yield', { yieldPercent: 19.45 }],
    ['as far above in yield', { yieldPercent: 21.55 }],
    ['as late as two uncertainties of time', { drawdownS: 187 }],
    ['with no figure for time', { drawdownS: null }],
    ['with strength alone', { yieldPercent: null, drawdownS: null }],
    ['with yield alone', { tdsPercent: null, drawdownS: null }],
  ])('%s', (_, changes) => expect(situationOf(brewed(changes), AIM).withinUncertainty).toBe(true));

  it.each([
    ['farther below in strength', { tdsPercent: 1.255 }],
    ['farther above in strength', { tdsPercent: 1.445 }],
    ['farther off in yield alone', { yieldPercent: 19.35 }],
    ['farther above in yield alone', { yieldPercent: 21.65 }],
    ['later than time leaves open', { drawdownS: 189 }],
    ['that has neither strength nor yield', { tdsPercent: null, yieldPercent: null }],
  ])('and not %s', (_, changes) => expect(situationOf(brewed(changes), AIM).withinUncertainty).toBe(false));

  it('of a figure that is not aimed at, whatever it is', () => {
    const { drawdownS: _, ...noTime } = AIM;
    expect(situationOf(brewed({ drawdownS: 400 }), noTime).withinUncertainty).toBe(true);
  });
});
