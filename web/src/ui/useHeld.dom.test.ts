import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useHeld } from './useHeld';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const AT_MOST_MS = 4000;
const held = (value: string, isHeld: boolean) =>
  renderHook((given) => useHeld(given.value, given.isHeld, AT_MOST_MS), {
    initialProps: { value, isHeld },
  });

it('a value that is held stays as it was, and is the newest once it is let go', () => {
  const { result, rerender } = held('first', true);
  expect(result.current).toBeUndefined();
  rerender({ value: 'second', isHeld: false });
  expect(result.current).toBe('second');
  rerender({ value: 'third', isHeld: true });
  expect(result.current).toBe('second');
  rerender({ value: 'fourth', isHeld: false });
  expect(result.current).toBe('fourth');
});

it('a value is not held for ever by what never comes, and is held anew the next time', () => {
  const { result, rerender } = held('first', true);
  act(() => void vi.advanceTimersByTime(AT_MOST_MS - 1));
  expect(result.current).toBeUndefined();
  act(() => void vi.advanceTimersByTime(1));
  expect(result.current).toBe('first');
  rerender({ value: 'second', isHeld: true });
  expect(result.current).toBe('second');
  rerender({ value: 'second', isHeld: false });
  rerender({ value: 'third', isHeld: true });
  expect(result.current).toBe('second');
});
