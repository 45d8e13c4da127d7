import { useLayoutEffect, useRef, useState } from 'react';
import type { Trouble } from '../api/problem';
import { useDraft } from '../device/draft';
import { useRetry } from '../ui/useRetry';

/** Where something entered is: on its way, on the server since a moment, or on this device only. */
type SavedState =
  | { kind: 'still' }
  | { kind: 'saving' }
  | { kind: 'saved'; atMs: number }
  | { kind: 'unsaved'; trouble: Trouble | null };

export interface Saved<T> {
  /** As entered, else as stored. */
  value: T;
  /** Typing goes on: kept on this device, sent when its field is left. */
  type: (next: T) => void;
  /** A figure or a choice was made: kept and sent. */
  put: (next: T) => void;
  /** Sends what is not on the server yet, if anything is. */
  save: () => void;
  /** Back to what is stored. */
  discard: () => void;
  state: SavedState;
}

/**
 * The one way to save: an entry goes to the server when its field is left or by Enter, one after the other, and stays
 * on this device until the server has it.
 *
 * @param send - answers what stands against it, or `null` when it is stored
 */
export function useSaved<T>({
  draftKey,
  stored,
  send,
}: {
  draftKey: string;
  stored: T;
  send: (value: T) => Promise<Trouble | null>;
}): Saved<T> {
  const [draft, keep, forget] = useDraft<T | null>(draftKey, null);
  const [state, setState] = useState<SavedState>(
    draft === null ? { kind: 'still' } : { kind: 'unsaved', trouble: null },
  );
  // What was saved shows until the page has read it again: what it showed meanwhile is of before.
  const [taken, setTaken] = useState<{ value: T; over: string } | null>(null);
  const storedText = JSON.stringify(stored);
  const shown = useRef(storedText);
  // Before anything else can happen: an answer that comes between the drawing and this would be laid over the wrong one.
  useLayoutEffect(() => {
    shown.current = storedText;
  });
  const latest = useRef(draft);
  const queue = useRef(Promise.resolve());

  function type(next: T) {
    // "Saved" must not stand beside what is not.
    if (state.kind === 'saved') setState({ kind: 'still' });
    latest.current = next;
    keep(next);
  }
  async function sendLatest() {
    const sent = latest.current;
    if (sent === null) return;
    setState({ kind: 'saving' });
    const trouble = await send(sent);
    // Typed on meanwhile: what came after is still to be sent.
    const isNewest = latest.current === sent;
    if (trouble) {
      setState({ kind: 'unsaved', trouble });
    } else if (isNewest) {
      latest.current = null;
      setTaken({ value: sent, over: shown.current });
      keep(null);
      forget();
      setState({ kind: 'saved', atMs: Date.now() });
    } else {
      setState({ kind: 'unsaved', trouble: null });
    }
  }
  function save() {
    queue.current = queue.current.then(sendLatest);
  }
  useRetry(state.kind === 'unsaved' ? state.trouble : null, save);
  return {
    value: draft ?? (taken?.over === storedText ? taken.value : stored),
    type,
    put(next) {
      type(next);
      save();
    },
    save,
    discard() {
      latest.current = null;
      setTaken(null);
      keep(null);
      forget();
      setState({ kind: 'still' });
    },
    state,
  };
}
