import { describe, expect, it } from 'vitest';
import { logOf, withEntry, type Happening, type Trace } from '@vendu/core';
import { LAID_OUT } from '../testing/fixtures';
import type { BenchBrew } from './benchBrew';
import { toldByScale } from './scaleTells';

const START_MS = 1_000_000;
const mark = (stepIndex: number, atMs: number) => ({
  kind: 'marked' as const,
  atMs: START_MS + atMs,
  stepIndex,
  skipped: false,
  by: 'hand' as const,
});
const brewWith = (log: BenchBrew['log']): BenchBrew => ({
  ...LAID_OUT,
  log,
  thermometer: 'none',
  outflowScale: 'none',
  noteTyped: null,
  seq: 1,
});
/** 40 g in five seconds, and standing since. */
const trace: Trace = {
  atMs: Array.from({ length: 200 }, (_, index) => index * 100),
  massG: Array.from({ length: 200 }, (_, index) => Math.min(40, index * 0.8)),
};
const READING = { status: 'reading', name: 'Left' } as const;
const at = (seconds: number) => START_MS + seconds * 1000;
const poured = brewWith(logOf('here', [mark(0, 0)]));
const told = (brew: BenchBrew, happened: Happening): BenchBrew => ({
  ...brew,
  log: withEntry(brew.log, 'here', { ...happened, atMs: at(9) }),
});

describe('a scale', () => {
  it('tells the total of a pour once it stands still, and once only', () => {
    expect(toldByScale(poured, READING, trace, at(3))).toEqual([]);
    const tells = toldByScale(poured, READING, trace, at(12));
    expect(tells).toEqual([{ kind: 'total-read', stepIndex: 0, totalG: 40 }]);
    expect(toldByScale(told(poured, tells[0]!), READING, trace, at(15))).toEqual([]);
  });

  it('leaves a total alone that a hand has typed', () => {
    const typed = told(poured, { kind: 'total-read', stepIndex: 0, totalG: 41.5 });
    expect(toldByScale(typed, READING, trace, at(12))).toEqual([]);
  });

  it('tells once that it fell silent, and that it is back', () => {
    const nothing: Trace = { atMs: [], massG: [] };
    const silent = { status: 'silent', name: 'Left' } as const;
    const lost = { kind: 'scale-lost', scale: 'Left' } as const;
    expect(toldByScale(poured, silent, nothing, at(4))).toEqual([lost]);
    const brew = told(poured, lost);
    expect(toldByScale(brew, silent, nothing, at(5))).toEqual([]);
    expect(toldByScale(brew, READING, nothing, at(6))).toEqual([{ kind: 'scale-back', scale: 'Left' }]);
  });

  it('has nothing to tell before the clock runs', () => {
    expect(toldByScale(brewWith([]), { status: 'silent', name: 'Left' }, trace, at(4))).toEqual([]);
  });
});
