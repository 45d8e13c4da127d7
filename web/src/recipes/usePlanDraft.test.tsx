import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { BrewPlan } from '@vendu/core';
import { usePlanDraft } from './usePlanDraft';

const PLAN: BrewPlan = {
  doseG: 16,
  kettleC: 94,
  grindUm: 700,
  drawdownS: 160,
  pours: [{ startS: 0, amountG: 250, flowGps: 5, agitation: 'none', isBloom: false }],
};

function open(number = 1) {
  return renderHook(() => usePlanDraft({ recipeId: 7, version: { number, plan: PLAN } }));
}

describe('editing a plan', () => {
  it('undoes and redoes step by step, and a new edit forgets the future', () => {
    const { result } = open();
    expect(result.current.undo).toBeNull();
    for (const kettleC of [95, 96, 97]) act(() => result.current.edit({ ...result.current.plan, kettleC }));
    act(() => result.current.undo?.());
    act(() => result.current.undo?.());
    expect(result.current.plan.kettleC).toBe(95);
    act(() => result.current.redo?.());
    expect(result.current.plan.kettleC).toBe(96);
    act(() => result.current.edit({ ...result.current.plan, kettleC: 90 }));
    expect(result.current.redo).toBeNull();
    act(() => result.current.undo?.());
    expect(result.current.plan.kettleC).toBe(96);
  });

  it('survives a reload with its past, and knows when it is back where it started', () => {
    const first = open();
    act(() => first.result.current.edit({ ...PLAN, grindUm: 650 }));
    first.unmount();
    const { result } = open();
    expect(result.current.plan.grindUm).toBe(650);
    expect(result.current.isChanged).toBe(true);
    act(() => result.current.undo?.());
    expect(result.current.isChanged).toBe(false);
  });

  it('keeps the version it was based on until it is put on top of another', () => {
    const first = open(1);
    act(() => first.result.current.edit({ ...PLAN, grindUm: 650 }));
    first.unmount();
    const { result } = open(2);
    expect(result.current.basedOn).toBe(1);
    act(() => result.current.rebase(2));
    expect([result.current.basedOn, result.current.plan.grindUm]).toEqual([2, 650]);
  });

  it('is gone once it is let go', () => {
    const { result } = open();
    act(() => result.current.edit({ ...PLAN, grindUm: 650 }));
    act(() => result.current.drop());
    expect([result.current.isChanged, result.current.plan.grindUm]).toEqual([false, 700]);
    expect(open().result.current.isChanged).toBe(false);
  });
});
