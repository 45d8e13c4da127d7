import { useSyncExternalStore } from 'react';
import { onDraftWritten, readDraft, writeDraft } from './draft';

/** As the system has it, or chosen on this device. */
export const THEMES = ['system', 'light', 'dark'] as const;
export type Theme = (typeof THEMES)[number];

const KEY = 'theme';
const listeners = new Set<() => void>();
const darkSystem = () =>
  typeof matchMedia === 'function' ? matchMedia('(prefers-color-scheme: dark)') : null;

let chosen: Theme = keptTheme();

function keptTheme(): Theme {
  const kept = readDraft(KEY);
  return THEMES.find((theme) => theme === kept) ?? 'system';
}

function isDark(): boolean {
  return chosen === 'dark' || (chosen === 'system' && (darkSystem()?.matches ?? false));
}

/** Puts the theme on the page; called once before anything is drawn, and with every change. */
function apply(): void {
  document.documentElement.dataset['theme'] = isDark() ? 'dark' : 'light';
  for (const listener of listeners) listener();
}

export function startTheme(): void {
  chosen = keptTheme();
  darkSystem()?.addEventListener('change', apply);
  onDraftWritten(KEY, () => {
    chosen = keptTheme();
    apply();
  });
  apply();
}

export function chooseTheme(theme: Theme): void {
  chosen = theme;
  writeDraft(KEY, theme);
  apply();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export function useTheme(): { theme: Theme; isDark: boolean } {
  return {
    theme: useSyncExternalStore(subscribe, () => chosen),
    isDark: useSyncExternalStore(subscribe, isDark),
  };
}
