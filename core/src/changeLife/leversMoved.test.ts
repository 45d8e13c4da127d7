import { describe, expect, it } from 'vitest';
import { PLAN } from '../testing/brews.js';
import { withLever } from '../change/levers.js';
import type { BrewPlan } from '../plan/plan.js';
import { leversMoved } from './leversMoved.js';

const from = PLAN;
const to = (change: Partial<BrewPlan>) => leversMoved({ from, to: { ...PLAN, ...change } });

describe('what was moved between two plans', () => {
  it('is one thing where one thing was done', () => {
    expect(to({})).toEqual([]);
    expect(to({ grindUm: 650 })).toEqual(['grind']);
    expect(to({ grindUm: 650, kettleC: 95 })).toEqual(['grind', 'kettle']);
  });

  it('is the ratio alone where every pour was scaled with it', () => {
    const tighter = withLever(PLAN, 'ratio', 15)!;
    expect(leversMoved({ from, to: tighter })).toEqual(['ratio']);
    const [bloom, second, third] = tighter.pours;
    const unevenly = [bloom!, { ...second!, amountG: second!.amountG - 20 }, third!];
    expect(leversMoved({ from, to: { ...tighter, pours: unevenly } })).toContain('pours');
    const later = [bloom!, { ...second!, startS: 55 }, third!];
    expect(leversMoved({ from, to: { ...tighter, pours: later } })).toEqual(['ratio', 'bloom', 'pours']);
  });

  it('is the pours where their number changes, or grams go from one to another', () => {
    const [bloom, second, third] = PLAN.pours;
    expect(to({ pours: [bloom!, { ...second!, amountG: 130 }, { ...third!, amountG: 70 }] })).toEqual([
      'pours',
    ]);
    expect(to({ pours: [bloom!, { ...second!, amountG: 240 }] })).toEqual(['ratio', 'pours']);
    expect(to({ bypassG: 30 })).toEqual(['ratio']);
    expect(to({ pours: [{ ...bloom!, amountG: 70 }, { ...second!, amountG: 75 }, third!] })).toEqual([
      'bloom',
    ]);
  });

  it('is not another end hoped for, unless the brewer is lifted at it', () => {
    expect(to({ drawdownS: 190 })).toEqual([]);
    expect(to({ lifts: true })).toEqual(['drawdown']);
    const lifted = { ...PLAN, lifts: true };
    expect(leversMoved({ from: lifted, to: { ...lifted, drawdownS: 150 } })).toEqual(['drawdown']);
    expect(leversMoved({ from: lifted, to: PLAN })).toEqual(['drawdown']);
  });
});
