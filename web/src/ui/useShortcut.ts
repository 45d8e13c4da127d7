import { useEffect, useRef } from 'react';

/** Keys of a running clock: a field there that has the focus never takes them, unless they are words being typed. */
const CLOCK_KEYS = [' ', 'b'];

function belongsToClock(target: HTMLElement, key: string): boolean {
  if (!target.closest('[data-bench]') || !CLOCK_KEYS.includes(key.toLowerCase())) return false;
  // Nobody begins a note with a space; figures have neither spaces nor letters of their own, but where they are several.
  if (target instanceof HTMLTextAreaElement || target.matches('[data-several]'))
    return key === ' ' && (target as HTMLInputElement).value === '';
  return target.matches('input, select');
}

/** Whether a key pressed there would be typing, or would press the control that has the focus. */
function belongsToControl(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement) || belongsToClock(target, key)) return false;
  if (target.isContentEditable || target.matches('input, textarea, select')) return true;
  return (key === ' ' || key === 'Enter') && target.matches('a, summary, [role="slider"]');
}

/**
 * Does something when a key is pressed anywhere on the page, unless someone is typing. Keys are lower
 * case; Space is `' '`. A focused button keeps Enter but not Space, which on the bench always goes on.
 */
export function useShortcut(key: string, action: (() => void) | null): void {
  const latest = useRef(action);
  useEffect(() => {
    latest.current = action;
  });
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent) {
      if (event.key.toLowerCase() !== key || event.ctrlKey || event.metaKey || event.altKey) return;
      if (latest.current === null || event.repeat || belongsToControl(event.target, event.key)) return;
      event.preventDefault();
      // What was typed there is taken before the key does its own.
      if (event.target instanceof HTMLElement && event.target.matches('input, select, textarea'))
        event.target.blur();
      latest.current();
    }
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [key]);
}
