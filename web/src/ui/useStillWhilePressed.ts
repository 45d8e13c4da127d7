import { useState, useSyncExternalStore } from 'react';

let isPressed = false;
const listeners = new Set<() => void>();

function set(pressed: boolean) {
  if (isPressed === pressed) return;
  isPressed = pressed;
  listeners.forEach((listener) => listener());
}

function subscribe(listener: () => void) {
  if (listeners.size === 0) {
    window.addEventListener('pointerdown', press, true);
    window.addEventListener('pointerup', release, true);
    window.addEventListener('pointercancel', release, true);
  }
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    window.removeEventListener('pointerdown', press, true);
    window.removeEventListener('pointerup', release, true);
    window.removeEventListener('pointercancel', release, true);
  };
}

let releasing: ReturnType<typeof setTimeout> | undefined;

function press() {
  clearTimeout(releasing);
  set(true);
}

/** The click comes right after the release; it must still find what was pressed. */
function release() {
  releasing = setTimeout(() => set(false));
}

/**
 * Holds what takes room on the page while a finger or a mouse button is down. A field is left at the
 * press: a message that came or went there and then would move the button away before its click.
 */
export function useStillWhilePressed<T>(value: T): T {
  const pressed = useSyncExternalStore(subscribe, () => isPressed);
  const [held, setHeld] = useState(value);
  if (!pressed && !Object.is(held, value)) setHeld(value);
  return pressed ? held : value;
}
