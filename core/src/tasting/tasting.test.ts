import { describe, expect, it } from 'vitest';
import { afterBrew } from '../bench/afterBrew.js';
import { valueOf } from '../result.js';
import { sheetOf } from '../testing/sheets.js';
import { agreementOf } from './agreement.js';
import { CAFFEINE_GUIDANCE_MG, tastedCaffeineMg } from './caffeine.js';
import { movementOf } from './movement.js';
import { EMPTY_SHEET, isBlankSheet, NOT_SCORED } from './sheet.js';
import { stageCalled, stagesDueS } from './stageCalled.js';

describe('a sheet', () => {
  it('is blank until it says something of the taste', () => {
    expect(isBlankSheet({ ...EMPTY_SHEET, vessel: 'wine-glass', isSpat: true, notes: '  ' })).toBe(true);
    for (const said of [
      { notes: 'plum' },
      { aromas: { ...EMPTY_SHEET.aromas, emptied: 'toffee' } },
      { overall: 5 },
      { faults: ['dry' as const] },
      { likings: { ...NOT_SCORED, body: 3 } },
      { intensities: { ...NOT_SCORED, body: 0 } },
    ]) {
      expect(isBlankSheet({ ...EMPTY_SHEET, ...said })).toBe(false);
    }
  });
});

describe('the stage that a cup is at', () => {
  const dueS = stagesDueS(valueOf(afterBrew({ roomC: 22 })));

  it('goes from hot over warm to cool', () => {
    expect(dueS.hot).toBe(0);
    expect(stageCalled(dueS, -60)).toBe('hot');
    expect(stageCalled(dueS, dueS.warm)).toBe('warm');
    expect(stageCalled(dueS, dueS.cool)).toBe('cool');
    expect(stageCalled(dueS, 1e6)).toBe('cool');
  });

  it('turns half way between two', () => {
    expect(stageCalled(dueS, dueS.warm / 2 - 1)).toBe('hot');
    expect(stageCalled(dueS, dueS.warm / 2 + 1)).toBe('warm');
    const between = (dueS.warm + dueS.cool) / 2;
    expect(stageCalled(dueS, between - 1)).toBe('warm');
    expect(stageCalled(dueS, between + 1)).toBe('cool');
  });
});

describe('the agreement of those who tasted one cup', () => {
  it('has low, high and middle of each attribute, and says where they are apart', () => {
    expect(
      agreementOf([
        sheetOf('Ilse', { scores: { dryness: 3, body: 5 } }),
        sheetOf('Tamsin', { scores: { dryness: 4, body: 6 } }),
        sheetOf('Joss', { scores: { dryness: 7 } }),
        sheetOf('Joss', { stage: 'cool', scores: { dryness: 9 } }),
      ]),
    ).toEqual([
      {
        stage: 'warm',
        tasters: ['Ilse', 'Tamsin', 'Joss'],
        attributes: [
          { attribute: 'body', low: 5, high: 6, median: 5.5, isApart: false },
          { attribute: 'dryness', low: 3, high: 7, median: 4, isApart: true },
        ],
      },
    ]);
  });
});

describe('what happened in a cup from hot to cool', () => {
  it('goes by the middle of those who scored it, over the stages that somebody scored', () => {
    const movement = movementOf([
      sheetOf('Ilse', { stage: 'hot', scores: { body: 3 } }),
      sheetOf('Joss', { stage: 'hot', scores: { body: 6 } }),
      sheetOf('Tamsin', { stage: 'hot', scores: { body: 4 }, likings: { ...NOT_SCORED, body: 7 } }),
      sheetOf('Ilse', { stage: 'cool', scores: { body: 8 } }),
    ]);
    expect(movement.find(({ attribute }) => attribute === 'body')).toEqual({
      attribute: 'body',
      intensities: [
        { stage: 'hot', value: 4 },
        { stage: 'cool', value: 8 },
      ],
      likings: [{ stage: 'hot', value: 7 }],
    });
    expect(movement.find(({ attribute }) => attribute === 'dryness')?.intensities).toEqual([]);
  });
});

describe('caffeine of tasting', () => {
  const sip = { doseG: 15, beverageG: 210, isDecaffeinated: false, isSpat: false };

  it('is far from the guidance by one cup, and at it after some dozen', () => {
    // A whole filter brew of 15 g holds some 150 mg (common practice: 90 to 150 mg in a mug of 250 ml).
    expect(tastedCaffeineMg([{ ...sip, beverageG: 30 }])).toBeCloseTo(162, 0);
    expect(tastedCaffeineMg([sip])).toBeCloseTo(23, 0);
    expect(tastedCaffeineMg(Array.from({ length: 18 }, () => sip))).toBeGreaterThan(
      CAFFEINE_GUIDANCE_MG.inADay,
    );
  });

  it('is little when spat, less without caffeine, and never more than is in the cup', () => {
    expect(tastedCaffeineMg([{ ...sip, isSpat: true }])).toBeCloseTo(2.3, 1);
    expect(tastedCaffeineMg([{ ...sip, isDecaffeinated: true }])).toBeCloseTo(1.9, 1);
    expect(tastedCaffeineMg([{ ...sip, beverageG: 10 }])).toBeCloseTo(162, 0);
    expect(tastedCaffeineMg([{ ...sip, beverageG: 0 }])).toBe(0);
    expect(tastedCaffeineMg([])).toBe(0);
  });
});
