import { afterEach, describe, expect, it, vi } from 'vitest';
import { followWindows, type DayInput } from '@vendu/core';
import { askPlan } from './planner';

const day: DayInput = {
  nowMin: 540,
  jobs: [{ id: 'a', brewMin: 9, dueMin: null, stages: ['warm'], sipMg: 20 }],
  afters: [],
  crew: { kettles: 1, people: [{ name: 'P', fromMin: 540, toMin: 900, caffeineMg: 0 }] },
  windows: followWindows({ roomC: 21 }),
};

afterEach(() => vi.unstubAllGlobals());

describe('the planner', () => {
  it('plans on the page itself where its worker does not start', async () => {
    vi.stubGlobal(
      'Worker',
      class extends EventTarget {
        postMessage() {
          this.dispatchEvent(new Event('error'));
        }
      },
    );
    expect((await askPlan(day, null)).order).toEqual(['a']);
  });

  it('and where a browser has no workers at all', async () => {
    vi.stubGlobal('Worker', undefined);
    expect((await askPlan(day, ['a'])).order).toEqual(['a']);
  });
});
