import { describe, expect, it, vi } from 'vitest';
import { lotPrior } from '@vendu/core';
import { BREW_KIT } from '../testing/fixtures';
import type { BoardGround } from './forecaster';
import { giveBack, takeForecaster, warmForecaster } from './keptForecasters';

const keyOf = (roastAgeDays: number) =>
  JSON.stringify({
    kit: BREW_KIT,
    prior: lotPrior({}),
    brews: [],
    elsewhere: [],
    roastAgeDays,
  } satisfies BoardGround);

describe('forecasters that are kept', () => {
  it('learn once for all who ask of the same brews, and are there for the next who does', async () => {
    const started = vi.spyOn(globalThis, 'Worker');
    warmForecaster();
    expect(started).toHaveBeenCalledTimes(1);
    const [first, second] = [takeForecaster(keyOf(1)), takeForecaster(keyOf(1))];
    expect(second).toBe(first);
    expect(await first.learned).toBeNull();
    giveBack(first);
    giveBack(second);
    expect(takeForecaster(keyOf(1))).toBe(first);
    // The one that was warm did it all.
    expect(started).toHaveBeenCalledTimes(1);
    giveBack(first);
  });

  it('are started anew only while all of them are asked, and end when too many are idle', () => {
    const started = vi.spyOn(globalThis, 'Worker');
    started.mockClear();
    const busy = [1, 2, 3, 4].map((age) => takeForecaster(keyOf(age)));
    const before = started.mock.calls.length;
    expect(before).toBe(3);
    const ended = busy.map((each) => vi.spyOn(each, 'end'));
    for (const each of busy) giveBack(each);
    expect(ended.map((end) => end.mock.calls.length)).toEqual([1, 1, 0, 0]);
    // The last two stay, each with what it has learned.
    expect(takeForecaster(keyOf(4))).toBe(busy[3]);
    expect(takeForecaster(keyOf(1))).not.toBe(busy[0]);
    expect(started.mock.calls.length).toBe(before);
  });
});
