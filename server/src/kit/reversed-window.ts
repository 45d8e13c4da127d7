import type { Aim, ExtractionWindow } from '@vendu/core';
import { invalidField } from '../problem/problem-error.js';

/**
 * @param prefix - where the window stands in what was sent, as `aim.`
 * @throws ProblemError `invalid-input` where a window ends below where it begins
 */
export function refuseReversedWindow(window: ExtractionWindow, prefix = ''): void {
  refuse(prefix, window, 'tdsLowPercent', 'tdsHighPercent', 'Strength');
  refuse(prefix, window, 'yieldLowPercent', 'yieldHighPercent', 'Yield');
}

/** @throws ProblemError `invalid-input` where an aim's window is reversed, or its drain time has one end only */
export function refuseImpossibleAim(aim: Aim, prefix: string): void {
  refuseReversedWindow(aim, prefix);
  const { drainLowS = null, drainHighS = null } = aim;
  if ((drainLowS === null) !== (drainHighS === null)) {
    throw invalidField({
      field: `${prefix}${drainLowS === null ? 'drainLowS' : 'drainHighS'}`,
      message: 'A drain time aimed at needs both ends, or neither.',
    });
  }
  if (drainLowS !== null && drainHighS !== null && drainLowS >= drainHighS) {
    throw invalidField({
      field: `${prefix}drainHighS`,
      message: `Drain time must end after it begins, ${drainLowS} s.`,
      allowed: `above ${drainLowS} s`,
    });
  }
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
