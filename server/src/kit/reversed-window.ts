import type { ExtractionWindow } from '@vendu/core';
import { invalidField } from '../problem/problem-error.js';

/**
 * @param prefix - where the window stands in what was sent, as `aim.`
 * @throws ProblemError `invalid-input` where a window ends below where it begins
 */
export function refuseReversedWindow(window: ExtractionWindow, prefix = ''): void {
  refuse(prefix, window, 'tdsLowPercent', 'tdsHighPercent', 'Strength');
  refuse(prefix, window, 'yieldLowPercent', 'yieldHighPercent', 'Yield');
}

function refuse(
  prefix: string,
  window: ExtractionWindow,
  low: keyof ExtractionWindow,
  high: keyof ExtractionWindow,
  label: string,
): void {
  if (window[low] < window[high]) return;
  throw invalidField({
    field: `${prefix}${high}`,
    message: `${label} must end above where it begins, ${window[low]} %.`,
    allowed: `above ${window[low]} %`,
  });
}
