import jStat from 'jstat';
import { mean, sampleStandardDeviation } from 'simple-statistics';
import { grouped } from '../statistics/grouped.js';
import { INTENSITIES, type Intensity, type TastingStage } from '../vocabulary.js';
import type { Scores } from './sheet.js';

/** A sheet that was written before its taster saw another's. */
export interface IndependentSheet {
  brewId: number;
  stage: TastingStage;
  personId: number;
  intensities: Scores;
}

/** How somebody reads an attribute beside those who tasted the same cups. */
export interface TasterHabit {
  attribute: Intensity;
  /** Points above the others, below where negative. */
  byPoints: number;
  /** Half of the interval that holds it 99 times of 100. */
  withinPoints: number;
  brews: number;
  /** It is a habit: enough brews, large enough to matter, and its interval leaves nought out. */
  isHabit: boolean;
}

/** A habit rests on at least so many brews, and is at least so large (assumed): less is said of nobody. */
const FEWEST_BREWS = 6;
const SMALLEST_POINTS = 0.5;
/** One taster has seven attributes: the interval is wide enough that one of them is seldom called by chance. */
const CONFIDENCE = 0.99;

/**
 * How each taster reads beside the mean of the others at the same cup and stage. Stages of one brew hang together, so
 * a brew counts once: the interval is Student's over brews (any textbook of statistics). It says how somebody reads and
 * not who is right.
 */
export function tasterHistory(sheets: readonly IndependentSheet[]): Map<number, TasterHabit[]> {
  const cups = grouped(sheets, ({ brewId, stage }) => `${brewId}.${stage}`);
  const people = [...new Set(sheets.map(({ personId }) => personId))];
  return new Map(
    people.map((personId) => [
      personId,
      INTENSITIES.flatMap((attribute) => habitOf(personId, attribute, [...cups.values()]) ?? []),
    ]),
  );
}

function habitOf(
  personId: number,
  attribute: Intensity,
  cups: readonly (readonly IndependentSheet[])[],
): TasterHabit | null {
  const apart = cups.flatMap((cup) => {
    const own = cup.find((sheet) => sheet.personId === personId);
    const score = own?.intensities[attribute] ?? null;
    const others = cup.flatMap((sheet) => (sheet === own ? [] : (sheet.intensities[attribute] ?? [])));
    return own && score !== null && others.length > 0
      ? [{ brewId: own.brewId, by: score - mean(others) }]
      : [];
  });
  const byBrew = [...grouped(apart, ({ brewId }) => brewId).values()].map((of) =>
    mean(of.map(({ by }) => by)),
  );
  const brews = byBrew.length;
  if (brews < 2) return null;
  const byPoints = mean(byBrew);
  const t = jStat.studentt.inv((1 + CONFIDENCE) / 2, brews - 1);
  const withinPoints = (t * sampleStandardDeviation(byBrew)) / Math.sqrt(brews);
  return {
    attribute,
    byPoints,
    withinPoints,
    brews,
    isHabit:
      brews >= FEWEST_BREWS && Math.abs(byPoints) >= SMALLEST_POINTS && Math.abs(byPoints) > withinPoints,
  };
}
