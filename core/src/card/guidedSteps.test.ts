import { describe, expect, it } from 'vitest';
import { guidedMoment } from './guidedSteps.js';

const STEPS = [
  { atS: 0, waits: false },
  { atS: 5, waits: false },
  { atS: 40, waits: true },
  { atS: 53, waits: false },
  { atS: 90, waits: true },
  { atS: 150, waits: false },
];
const at = (elapsedS: number | null, seenS: number[] = []) => guidedMoment({ steps: STEPS, elapsedS, seenS });

describe('a brew from a card', () => {
  it('goes by the clock where nothing is waited for', () => {
    const steps = STEPS.map(({ atS }) => ({ atS, waits: false }));
    const moment = guidedMoment({ steps, elapsedS: 60, seenS: [] });
    expect(moment).toEqual({ dueS: [0, 5, 40, 53, 90, 150], currentIndex: 3, waitingIndex: null });
    expect(at(null).currentIndex).toBe(-1);
  });

  it('stays before a step that waits, however late the clock is, and has nothing to look for before that', () => {
    expect(at(3)).toMatchObject({ currentIndex: 0, waitingIndex: null });
    expect(at(20)).toMatchObject({ currentIndex: 1, waitingIndex: 2 });
    expect(at(300)).toMatchObject({ currentIndex: 1, waitingIndex: 2, dueS: [0, 5, null, null, null, null] });
  });

  it('moves what comes after by as much as the waiting took longer, or shorter', () => {
    expect(at(60, [60])).toMatchObject({ currentIndex: 2, dueS: [0, 5, 60, 73, null, null] });
    expect(at(80, [60])).toMatchObject({ currentIndex: 3, waitingIndex: 4 });
    expect(at(200, [60, 100]).dueS).toEqual([0, 5, 60, 73, 100, 160]);
    expect(at(31, [30]).dueS.slice(2, 4)).toEqual([30, 43]);
  });
});
