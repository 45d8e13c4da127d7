import { describe, expect, it } from 'vitest';
import { PLAN } from '../testing/brews.js';
import { brewSoFar } from './brewSoFar.js';
import { withEntry, type BrewLog } from './brewLog.js';
import type { Happening } from './brewEntry.js';
import { measuredSoFar } from './measuredSoFar.js';

const START: Happening = { kind: 'marked', stepIndex: 0, skipped: false, by: 'hand' };

const told = (...happened: Happening[]): BrewLog =>
  [START, ...happened].reduce<BrewLog>((log, each) => withEntry(log, 'bench', { ...each, atMs: 1000 }), []);

const measured = (log: BrewLog) => measuredSoFar({ plan: PLAN, soFar: brewSoFar(log) });

describe('what was measured at the bench', () => {
  it('is the last word on the beverage, and every reading that stands', () => {
    const log = told(
      { kind: 'weighed', what: 'beverage', massG: 190 },
      { kind: 'strength-read', tdsPercent: 1.34, sampleC: 24.5 },
      { kind: 'weighed', what: 'beverage', massG: 209.5 },
      { kind: 'strength-read', tdsPercent: 1.43, sampleC: null },
      { kind: 'strength-read', tdsPercent: 1.36, sampleC: null },
      { kind: 'undone', of: { device: 'bench', number: 5 } },
    );
    expect(measured(log)).toEqual({
      beverageG: 209.5,
      readings: [
        { tdsPercent: 1.34, sampleC: 24.5 },
        { tdsPercent: 1.36, sampleC: null },
      ],
    });
  });

  it('is nothing where nobody measured, and where the figure was taken away', () => {
    expect(measured(told())).toEqual({ beverageG: null, readings: [] });
    const weighed = told(
      { kind: 'weighed', what: 'beverage', massG: 200 },
      { kind: 'weighed', what: 'fines', massG: 2 },
      { kind: 'weighed', what: 'beverage', massG: null },
    );
    expect(measured(weighed).beverageG).toBeNull();
    expect(brewSoFar(weighed).finesG).toBe(2);
  });

  it('leaves out a beverage no lighter than its water', () => {
    const waterG = PLAN.pours.reduce((sum, { amountG }) => sum + amountG, 0);
    const beverage = (massG: number) =>
      measured(told({ kind: 'weighed', what: 'beverage', massG })).beverageG;
    expect(beverage(waterG)).toBeNull();
    expect(beverage(waterG - 1)).toBe(waterG - 1);
  });
});
