import type { ExtractionWindow } from '../extraction/extractionMap.js';

/**
 * What a recipe is meant to reach: the one notion of it everywhere. Strength and yield always; a drain time only
 * where a person set one, since time follows from the grind and is no end in itself.
 */
export interface Aim extends ExtractionWindow {
  /** s on the brew clock; both or neither. */
  drainLowS?: number | null;
  drainHighS?: number | null;
}

/** A figure aimed at, both ends allowed. */
export interface Window {
  low: number;
  high: number;
}

/** The windows of an aim by figure; one left out is not aimed at. */
export interface Targets {
  tdsPercent?: Window;
  yieldPercent?: Window;
  drawdownS?: Window;
}
export const TARGETS = ['tdsPercent', 'yieldPercent', 'drawdownS'] as const;

export function targetsOf({
  tdsLowPercent,
  tdsHighPercent,
  yieldLowPercent,
  yieldHighPercent,
  drainLowS = null,
  drainHighS = null,
}: Aim): Targets {
  return {
    tdsPercent: { low: tdsLowPercent, high: tdsHighPercent },
    yieldPercent: { low: yieldLowPercent, high: yieldHighPercent },
    ...(drainLowS !== null && drainHighS !== null ? { drawdownS: { low: drainLowS, high: drainHighS } } : {}),
  };
}

export type Standing = 'low' | 'on-aim' | 'high' | 'unknown';

/** Where a figure stands against its window; `unknown` where it was not measured or is not aimed at. */
export function standingOf(value: number | null | undefined, window: Window | undefined): Standing {
  if (value == null || window === undefined) return 'unknown';
  if (value < window.low) return 'low';
  return value > window.high ? 'high' : 'on-aim';
}

/** Whether what was measured lies inside every window that is aimed at; what was not measured does not. */
export function isOnAim(
  targets: Targets,
  measured: Readonly<Partial<Record<(typeof TARGETS)[number], number | null>>>,
): boolean {
  return TARGETS.every(
    (figure) => targets[figure] === undefined || standingOf(measured[figure], targets[figure]) === 'on-aim',
  );
}
