import { describe, expect, it } from 'vitest';
import type { BenchEvent } from './benchEvents.js';
import { RECORD, storableRecord } from './storableRecord.js';

const step = (stepIndex: number, atS: number, totalG: number | null = null) => ({
  stepIndex,
  atS,
  skipped: false,
  totalG,
});
const lost = (atS: number): BenchEvent => ({ kind: 'scale-lost', atS, scale: 'Scale' });
const agitated = (atS: number): BenchEvent => ({ kind: 'agitated', atS, how: 'swirl' });
const record = (changes: object) =>
  storableRecord({ steps: [step(0, 0)], events: [] as BenchEvent[], note: '', ...changes });

describe('what a bench has of a brew', () => {
  it('stays as it is where it fits', () => {
    const brew = { steps: [step(0, 0, 42), step(1, 45.02)], events: [lost(3)], note: 'ñ' };
    expect(storableRecord(brew)).toEqual(brew);
  });

  it('has no time past two hours, and none before the one before it', () => {
    expect(record({ steps: [step(0, 0), step(1, 90_000), step(2, 30)] }).steps.map(({ atS }) => atS)).toEqual(
      [0, RECORD.longestS, RECORD.longestS],
    );
    expect(record({ steps: [step(0, 0), step(1, -3600), step(2, NaN)] }).steps.map(({ atS }) => atS)).toEqual(
      [0, 0, 0],
    );
  });

  it('has no total that no scale under a brewer shows', () => {
    expect(record({ steps: [step(0, 0, -0.1), step(1, 1, 9000)] }).steps.map(({ totalG }) => totalG)).toEqual(
      [null, null],
    );
  });

  it('tells the first losses of a flickering scale, and all else that happened', () => {
    const events = [...Array.from({ length: 400 }, (_, index) => lost(index)), agitated(500)];
    const kept = record({ events }).events;
    expect(kept).toHaveLength(RECORD.mostEvents);
    expect(kept[0]).toEqual(lost(0));
    expect(kept.at(-1)).toEqual(agitated(500));
  });

  it('has texts that fit and are whole', () => {
    const { note } = record({ note: `${'x'.repeat(RECORD.longestNote - 1)}\uD83C\uDF4B` });
    expect(note).toBe('x'.repeat(RECORD.longestNote - 1));
  });
});
