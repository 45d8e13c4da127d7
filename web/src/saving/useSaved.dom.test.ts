import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Trouble } from '../api/problem';
import { useSaved } from './useSaved';

beforeEach(() => localStorage.clear());
/** Does it, and lets what waits for it go on. */
const done = (step: () => void) =>
  act(() => {
    step();
    return Promise.resolve();
  });

describe('what was saved', () => {
  it('shows until a later read is in, though one of before comes in on the way', async () => {
    const answers: ((trouble: Trouble | null) => void)[] = [];
    const send = () => new Promise<Trouble | null>((resolve) => answers.push(resolve));
    const { result, rerender } = renderHook(({ stored }) => useSaved({ draftKey: 'cups', stored, send }), {
      initialProps: { stored: 'none' },
    });
    await done(() => result.current.put('30 g'));
    await done(() => answers[0]?.(null));
    await done(() => result.current.put('30 g, 4 %'));
    // What was read after the first save comes in while the second is on its way.
    rerender({ stored: '30 g' });
    await done(() => answers[1]?.(null));
    expect(result.current.value).toBe('30 g, 4 %');
    rerender({ stored: '30 g, 4 %, by another hand' });
    expect(result.current.value).toBe('30 g, 4 %, by another hand');
  });
});
