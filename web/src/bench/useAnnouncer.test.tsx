import { renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { standInSound } from '../testing/standInSound';
import { useAnnouncer } from './useAnnouncer';

let sounded: number[];

beforeEach(() => {
  sounded = standInSound();
});
afterEach(() => vi.unstubAllGlobals());

type Asked = Parameters<typeof useAnnouncer>[0];

function follow(isMuted = false) {
  const before: Asked = { dueInS: 30, stepIndex: 1, isCupDue: false, isMuted };
  const page = renderHook<unknown, Asked>(useAnnouncer, { initialProps: before });
  return (dueInS: number | null, stepIndex = 1, isCupDue = false) =>
    page.rerender({ dueInS, stepIndex, isCupDue, isMuted });
}

describe('the call of a step', () => {
  it('is a low tone before it is due and a high one when it is, each once', () => {
    const at = follow();
    for (const dueInS of [3.1, 2.9, 2, 1, 0, -0.5, -1]) at(dueInS);
    expect(sounded).toHaveLength(2);
    expect(sounded[0]).toBeLessThan(sounded[1] ?? 0);
    at(2.5, 2);
    expect(sounded).toHaveLength(3);
  });

  it('is not made for what is long past, before the clock, or with the sound off', () => {
    const late = follow();
    late(-20, 2);
    late(null, 3);
    const muted = follow(true);
    for (const dueInS of [2, 0]) muted(dueInS);
    expect(sounded).toEqual([]);
  });

  it('is another tone for a cup, once for each that is due', () => {
    const at = follow();
    for (const isCupDue of [true, true, false, true]) at(20, 1, isCupDue);
    expect(sounded).toHaveLength(2);
    expect(new Set(sounded).size).toBe(1);
    at(2);
    expect(new Set(sounded).size).toBe(2);
  });

  it('does not stop a brew on a machine without sound', () => {
    vi.stubGlobal('AudioContext', undefined);
    const at = follow();
    expect(() => {
      at(2);
      at(0);
    }).not.toThrow();
  });
});
