import { afterEach, expect, it, vi } from 'vitest';
import { writeDraft } from './draft';
import { chooseTheme, startTheme } from './theme';

const shown = () => document.documentElement.dataset['theme'];

function systemIs(theme: 'light' | 'dark') {
  const tell: (() => void)[] = [];
  const media = {
    matches: theme === 'dark',
    addEventListener: (_: string, listener: () => void) => tell.push(listener),
  };
  vi.stubGlobal('matchMedia', () => media);
  return {
    becomes(next: 'light' | 'dark') {
      media.matches = next === 'dark';
      for (const listener of tell) listener();
    },
  };
}
afterEach(() => {
  vi.unstubAllGlobals();
});

it('follows the system, also where that changes while the page is open', () => {
  const system = systemIs('light');
  startTheme();
  expect(shown()).toBe('light');
  system.becomes('dark');
  expect(shown()).toBe('dark');
});

it('keeps to what was chosen on the device, and goes back to the system on request', () => {
  const system = systemIs('light');
  writeDraft('theme', 'dark');
  startTheme();
  expect(shown()).toBe('dark');
  system.becomes('light');
  expect(shown()).toBe('dark');
  chooseTheme('light');
  expect(shown()).toBe('light');
  system.becomes('dark');
  chooseTheme('system');
  expect(shown()).toBe('dark');
});
