import { act, render, screen } from '@testing-library/react';
import { useRef } from 'react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useKeysBack } from './useKeysBack';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

function Note({ text }: { text: string }) {
  const field = useRef<HTMLTextAreaElement>(null);
  useKeysBack(field, text);
  return <textarea ref={field} aria-label="Note" value={text} readOnly />;
}
function pass(ms: number) {
  act(() => {
    vi.advanceTimersByTime(ms);
  });
}

it('gives the keys back once nobody has added to a note for a while, and not before', () => {
  const { rerender } = render(<Note text="" />);
  const note = screen.getByLabelText('Note');
  note.focus();
  pass(60_000);
  expect(document.activeElement).toBe(note);
  rerender(<Note text="foam" />);
  pass(3000);
  rerender(<Note text="foam, high" />);
  pass(3000);
  expect(document.activeElement).toBe(note);
  pass(1500);
  expect(document.activeElement).not.toBe(note);
});
