import { formatDuration, formatSigned, type OutcomeOf } from '@vendu/core';

/** How the figures that a brew comes to are called, coloured and printed. */
export const OUTCOME_WORDS: Record<
  OutcomeOf,
  { label: string; noun: string; hue: string; show: (value: number) => string; step: (by: number) => string }
> = {
  tdsPercent: {
    label: 'Strength',
    noun: 'strength',
    hue: 'text-strength',
    show: (value) => `${value.toFixed(2)} %`,
    step: (by) => formatSigned(by, 2),
  },
  yieldPercent: {
    label: 'Yield',
    noun: 'yield',
    hue: 'text-yield',
    show: (value) => `${value.toFixed(1)} %`,
    step: (by) => formatSigned(by, 1),
  },
  drawdownS: {
    label: 'Drained',
    noun: 'drain time',
    hue: 'text-time',
    show: (value) => formatDuration(Math.round(value)),
    step: (by) => `${formatSigned(by, 0)} s`,
  },
};
/** In the order in which they are read. */
export const OUTCOME_ORDER = ['tdsPercent', 'yieldPercent', 'drawdownS'] as const satisfies OutcomeOf[];
