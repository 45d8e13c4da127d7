import { renderHook, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import { counted, useIsWriting } from './writing';

it('a write counts until it is answered or fails, whoever sent it', async () => {
  const { result } = renderHook(() => useIsWriting());
  expect(result.current).toBe(false);
  let answer: (answered: string) => void = () => {};
  let fail: (why: Error) => void = () => {};
  const stored = counted(() => new Promise<string>((resolve) => (answer = resolve)));
  const refused = counted(() => new Promise<string>((_, reject) => (fail = reject)));
  await waitFor(() => expect(result.current).toBe(true));
  fail(new Error('no network'));
  await expect(refused).rejects.toThrow('no network');
  expect(result.current).toBe(true);
  answer('stored');
  expect(await stored).toBe('stored');
  await waitFor(() => expect(result.current).toBe(false));
});
