import { describe, expect, it } from 'vitest';
import { LOT_STAGES } from '../vocabulary.js';
import { lotDue } from './lotDue.js';

describe('what a lot waits for', () => {
  it('follows its stage', () => {
    const actions = LOT_STAGES.map(
      (stage) => lotDue({ stage, isRoasted: true, daysToLaunch: null, daysSinceBrew: 30 }).action,
    );
    expect(actions).toEqual([
      'first-brew',
      'next-brew',
      'next-brew',
      'sign-off',
      'publish',
      'recheck',
      'recheck',
    ]);
  });

  it('waits for its roast before anything else, and presses near the launch all the same', () => {
    const unroasted = (daysToLaunch: number | null) =>
      lotDue({ stage: 'arrived', isRoasted: false, daysToLaunch, daysSinceBrew: null });
    expect(unroasted(null)).toEqual({ action: 'roast', isPressing: false });
    expect(unroasted(2)).toEqual({ action: 'roast', isPressing: true });
  });

  it('presses near the launch, and after it', () => {
    const pressing = [10, 4, 3, 0, -2].map(
      (daysToLaunch) =>
        lotDue({ stage: 'dialling-in', isRoasted: true, daysToLaunch, daysSinceBrew: 1 }).isPressing,
    );
    expect(pressing).toEqual([false, false, true, true, true]);
  });

  // Common practice: a roast of two weeks tastes different.
  it('asks for a recheck two weeks after the last brew', () => {
    const after = (daysSinceBrew: number | null) =>
      lotDue({ stage: 'watched', isRoasted: true, daysToLaunch: -9, daysSinceBrew });
    expect(after(13)).toEqual({ action: 'nothing', isPressing: false });
    expect(after(14)).toEqual({ action: 'recheck', isPressing: true });
    expect(after(null)).toMatchObject({ action: 'recheck' });
  });
});
