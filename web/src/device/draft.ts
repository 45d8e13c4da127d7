import { useCallback, useState } from 'react';

const PREFIX = 'vendu.draft.';

/** Reads a draft; anything unreadable counts as none. */
export function readDraft(key: string): unknown {
  try {
    const text = localStorage.getItem(PREFIX + key);
    return text === null ? null : (JSON.parse(text) as unknown);
  } catch {
    return null;
  }
}

/** @returns whether this device has it now */
export function writeDraft(key: string, value: unknown): boolean {
  try {
    localStorage.setItem(PREFIX + key, JSON.stringify(value));
    return true;
  } catch {
    // A full or forbidden storage must not stop the work; the draft then lives as long as the page.
    return false;
  }
}

/** Tells when another page of this device has written a draft. */
export function onDraftWritten(key: string, tell: () => void): void {
  addEventListener('storage', (event) => {
    if (event.key === PREFIX + key) tell();
  });
}

export function dropDraft(key: string): void {
  localStorage.removeItem(PREFIX + key);
}

/** State of what is being typed, kept on this device until it is dropped: it survives reload and sign-out. */
export function useDraft<T>(
  key: string,
  initial: T,
): [value: T, change: (next: T) => void, drop: () => void] {
  const [state, setState] = useState(() => ({ key, value: (readDraft(key) as T | null) ?? initial }));
  // Another key is another draft; React lets state be set while rendering for this.
  if (state.key !== key) setState({ key, value: (readDraft(key) as T | null) ?? initial });
  const change = useCallback(
    (value: T) => {
      writeDraft(key, value);
      setState({ key, value });
    },
    [key],
  );
  const drop = useCallback(() => dropDraft(key), [key]);
  return [state.value, change, drop];
}
