import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sheetOf } from '../testing/sheets.js';
import { TASTING_STAGES } from '../vocabulary.js';
import { CUP_IS_GONE_H, openSheets } from './openSheets.js';

const HOUR = 3_600_000;
const sheets = [
  sheetOf('Ilse', { stage: 'hot' }),
  sheetOf('Tamsin', { stage: 'hot' }),
  sheetOf('Joss', { stage: 'hot' }),
  sheetOf('Tamsin', { stage: 'cool' }),
];
const seenBy = (viewerId: number, change: Partial<Parameters<typeof openSheets>[0]> = {}) =>
  openSheets({ sheets, viewerId, hasLooked: false, brewedAtMs: 0, nowMs: HOUR, ...change });

describe('which sheets somebody may see', () => {
  it('opens those of a stage once one’s own is sent, and counts what waits', () => {
    const { open, sealed } = seenBy(1);
    expect(open).toEqual(sheets.slice(0, 3));
    expect(sealed).toEqual({ cool: 1 });
  });

  it('shows nothing of others to whoever has sent nothing', () => {
    expect(seenBy(9)).toEqual({ open: [], sealed: { hot: 3, cool: 1 } });
  });

  it('shows all to whoever will not taste it, and to all when the cup is gone', () => {
    expect(seenBy(9, { hasLooked: true })).toEqual({ open: sheets, sealed: {} });
    expect(seenBy(9, { nowMs: CUP_IS_GONE_H * HOUR + 1 })).toEqual({ open: sheets, sealed: {} });
    expect(seenBy(9, { nowMs: CUP_IS_GONE_H * HOUR }).open).toEqual([]);
  });

  it('shows no sheet of another at a stage that one has not sent, whoever sent what', () => {
    const anySheet = fc.record({
      personId: fc.integer({ min: 1, max: 4 }),
      stage: fc.constantFrom(...TASTING_STAGES),
    });
    fc.assert(
      fc.property(fc.array(anySheet, { maxLength: 12 }), (any) => {
        const { open, sealed } = openSheets({
          sheets: any,
          viewerId: 1,
          hasLooked: false,
          brewedAtMs: 0,
          nowMs: 0,
        });
        const own = new Set(any.filter(({ personId }) => personId === 1).map(({ stage }) => stage));
        expect(open.every(({ stage }) => own.has(stage))).toBe(true);
        const waiting = Object.values(sealed).reduce((sum, each) => sum + each, 0);
        expect(open.length + waiting).toBe(any.length);
      }),
    );
  });
});
