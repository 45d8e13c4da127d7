import { renderHook } from '@testing-library/react';
import { expect, it } from 'vitest';
import { useHeld } from './useHeld';

it('a value that is held stays as it was, and is the newest once it is let go', () => {
  const { result, rerender } = renderHook(({ value, isHeld }) => useHeld(value, isHeld), {
    initialProps: { value: 'first', isHeld: true },
  });
  expect(result.current).toBeUndefined();
  rerender({ value: 'second', isHeld: false });
  expect(result.current).toBe('second');
  rerender({ value: 'third', isHeld: true });
  expect(result.current).toBe('second');
  rerender({ value: 'fourth', isHeld: false });
  expect(result.current).toBe('fourth');
});
