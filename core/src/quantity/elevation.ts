import { failure, success, type Failure, type Result } from '../result.js';
import { ELEVATION_WORDS, type ElevationWord } from '../vocabulary.js';

export type ElevationReason = 'not-an-elevation' | 'range-reversed';

/** Metres above sea level; a single figure has both ends equal. */
export interface ElevationRange {
  fromM: number;
  toM: number;
}

/** A growing elevation as far as somebody said it: in metres, or as a word. */
export type Elevation = ElevationRange | ElevationWord;

/** The same as it is kept: a word where there is no figure, and neither where nobody said. */
export interface KeptElevation {
  elevationFromM: number | null;
  elevationToM: number | null;
  /** Left out of what was kept before elevations could be words. */
  elevationWord?: ElevationWord | null;
}

const ELEVATION = /^(\d{1,4})(?:\s*(?:-|–|to)\s*(\d{1,4}))?\s*m?$/i;

/**
 * Reads a growing elevation as a figure (`1850`), a range (`1700-1950 m`) or a word (`high`). Empty text is no elevation.
 *
 * @returns metres above sea level or the word, or `null` where nothing was typed
 */
export function parseElevation(text: string): Result<Elevation | null, Failure<ElevationReason>> {
  const trimmed = text.trim().replace(/(?<=\d)[.,](?=\d{3}\b)/g, '');
  if (trimmed === '') return success(null);
  const word = ELEVATION_WORDS.find((each) => each === trimmed.toLowerCase());
  if (word) return success(word);
  const match = ELEVATION.exec(trimmed);
  if (!match)
    return failure(
      'not-an-elevation',
      `“${text.trim()}” is not an elevation; write 1850, 1700-1950, or a word: ${ELEVATION_WORDS.join(', ')}.`,
    );
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
export function formatElevation(elevation: Elevation): string {
  if (typeof elevation === 'string') return elevation;
  const { fromM, toM } = elevation;
  return fromM === toM ? `${fromM} m` : `${fromM}–${toM} m`;
}

/** What was said of where a lot grew; `null` where nobody said. */
export function elevationOf({
  elevationFromM,
  elevationToM,
  elevationWord,
}: KeptElevation): Elevation | null {
  if (elevationFromM === null) return elevationWord ?? null;
  return { fromM: elevationFromM, toM: elevationToM ?? elevationFromM };
}

/** The other way. */
export function keptElevation(elevation: Elevation | null): Required<KeptElevation> {
  if (elevation === null || typeof elevation === 'string') {
    return { elevationFromM: null, elevationToM: null, elevationWord: elevation };
  }
  return { elevationFromM: elevation.fromM, elevationToM: elevation.toM, elevationWord: null };
}

/** Where a lot grew, as it stands beside its other facts: `1700–1950 m`, `grown high`. */
export function elevationWords(elevation: Elevation): string {
  return typeof elevation === 'string' ? `grown ${elevation}` : formatElevation(elevation);
}
