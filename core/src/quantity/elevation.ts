import { failure, success, type Result } from '../result.js';

export type ElevationReason = 'not-an-elevation' | 'range-reversed';

/** Metres above sea level; a single figure has both ends equal. */
export interface ElevationRange {
  fromM: number;
  toM: number;
}

const ELEVATION = /^(\d{1,4})(?:\s*(?:-|–|to)\s*(\d{1,4}))?\s*m?$/i;

/**
 * Reads a growing elevation as a figure (`1850`) or a range (`1700-1950 m`). Empty text is no elevation.
 *
 * @returns metres above sea level, or `null` where nothing was typed
 */
export function parseElevation(text: string): Result<ElevationRange | null, ElevationReason> {
  const trimmed = text.trim().replace(/(?<=\d)[.,](?=\d{3}\b)/g, '');
  if (trimmed === '') return success(null);
  const match = ELEVATION.exec(trimmed);
  if (!match)
    return failure('not-an-elevation', `“${text.trim()}” is not an elevation; write 1850 or 1700-1950.`);
  const fromM = Number(match[1]);
  const toM = match[2] === undefined ? fromM : Number(match[2]);
  if (toM < fromM)
    return failure(
      'range-reversed',
      `The range runs downwards, from ${fromM} to ${toM} m; enter the lower figure first.`,
    );
  return success({ fromM, toM });
}

/** @example formatElevation({ fromM: 1700, toM: 1950 }) // '1700–1950 m' */
export function formatElevation({ fromM, toM }: ElevationRange): string {
  return fromM === toM ? `${fromM} m` : `${fromM}–${toM} m`;
}
