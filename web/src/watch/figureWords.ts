import { formatDuration, type WatchedFigure } from '@vendu/core';

/** A figure to the digit that its instrument deserves. */
export const PRINT: Record<WatchedFigure, (value: number) => string> = {
  strength: (value) => `${value.toFixed(2)} %`,
  yield: (value) => `${value.toFixed(1)} %`,
  drain: (value) => formatDuration(Math.max(0, Math.round(value))),
  liking: (value) => value.toFixed(1),
};

export const HUE: Record<WatchedFigure, string> = {
  strength: 'var(--color-strength)',
  yield: 'var(--color-yield)',
  drain: 'var(--color-time)',
  liking: 'var(--color-ink)',
};
