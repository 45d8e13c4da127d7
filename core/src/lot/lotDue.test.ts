import { describe, expect, it } from 'vitest';
import { LOT_STAGES } from '../vocabulary.js';
import { lotDue } from './lotDue.js';

describe('what a lot waits for', () => {
  it('follows its stage', () => {
    const actions = LOT_STAGES.map(
      (stage) => lotDue({ stage, daysToLaunch: null, daysSinceBrew: 30 }).action,
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

  it('presses near the launch, and after it', () => {
    const pressing = [10, 4, 3, 0, -2].map(
      (daysToLaunch) => lotDue({ stage: 'dialling-in', daysToLaunch, daysSinceBrew: 1 }).isPressing,
    );
    expect(pressing).toEqual([false, false, true, true, true]);
  });

  // Common practice: a roast of two weeks tastes different.
  it('asks for a recheck two weeks after the last brew', () => {
    const after = (daysSinceBrew: number | null) =>
      lotDue({ stage: 'watched', daysToLaunch: -9, daysSinceBrew });
    expect(after(13)).toEqual({ action: 'nothing', isPressing: false });
    expect(after(14)).toEqual({ action: 'recheck', isPressing: true });
    expect(after(null)).toMatchObject({ action: 'recheck' });
  });
});
