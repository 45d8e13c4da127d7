import { describe, expect, it } from 'vitest';
import { LOT_STAGES } from '../vocabulary.js';
import { lotDue } from './lotDue.js';

describe('what a lot waits for', () => {
  it('follows its stage', () => {
    const actions = LOT_STAGES.map(
      (stage) => lotDue({ stage, isRoasted: true, daysToLaunch: null, daysToRecheck: -1 }).action,
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
      lotDue({ stage: 'arrived', isRoasted: false, daysToLaunch, daysToRecheck: null });
    expect(unroasted(null)).toEqual({ action: 'roast', isPressing: false });
    expect(unroasted(2)).toEqual({ action: 'roast', isPressing: true });
  });

  it('presses near the launch, and after it', () => {
    const pressing = [10, 4, 3, 0, -2].map(
      (daysToLaunch) =>
        lotDue({ stage: 'dialling-in', isRoasted: true, daysToLaunch, daysToRecheck: null }).isPressing,
    );
    expect(pressing).toEqual([false, false, true, true, true]);
  });

  it('asks for a recheck from the day on which one is due', () => {
    const due = (daysToRecheck: number | null) =>
      lotDue({ stage: 'watched', isRoasted: true, daysToLaunch: -9, daysToRecheck });
    expect(due(1)).toEqual({ action: 'nothing', isPressing: false });
    expect(due(0)).toEqual({ action: 'recheck', isPressing: true });
    expect(due(null)).toMatchObject({ action: 'nothing' });
  });
});
