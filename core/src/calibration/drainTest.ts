import { plainWaterDrainS } from '../brewModel/plainWaterDrain.js';
import type { BrewerGeometry } from '../brewModel/types.js';
import { outOfRange, type OutOfRange } from '../input/ranges.js';
import { failure, success, type Failure, type Result } from '../result.js';
import type { BrewConditions } from './conditions.js';

/** Plain water timed through brewer and wet paper, without coffee. */
export interface DrainTest {
  brewer: BrewerGeometry;
  /** The paper's resistance as it was taken to be, 1/m: brews with this one are meant. */
  paperPerM: number;
  waterG: number;
  leftG: number;
  waterC: number;
  seconds: number;
}

/** A paper whose resistance was taken to be one thing and measured to be another, 1/m. */
export interface MeasuredPaper {
  paperPerM: number;
  measuredPerM: number;
}

export type DrainTestFailure = OutOfRange | Failure<'nothing-drains'> | Failure<'no-paper-fits'>;

/** Resistances between which a paper is looked for, 1/m: a tenth of the fastest to ten times the thickest. */
const THINNEST_PER_M = 1e7;
const DENSEST_PER_M = 7e9;
/** Halvings of the span: far below what a stopwatch tells. */
const HALVINGS = 50;

/**
 * Resistance of a wet paper from a plain-water drain test, 1/m: what no number of brews can tell from the
 * resistance of the bed. Found by halving, since a denser paper always drains slower.
 */
export function paperFromDrainTest(test: DrainTest): Result<MeasuredPaper, DrainTestFailure> {
  const fault = outOfRange('seconds', test.seconds, { low: 1, high: 3600, unit: 's' });
  if (fault) return fault;
  const secondsAt = (paperPerM: number) => plainWaterDrainS({ ...test, paperPerM });
  const [fastest, slowest] = [secondsAt(THINNEST_PER_M), secondsAt(DENSEST_PER_M)];
  if (!fastest.ok) return fastest;
  if (!slowest.ok) return slowest;
  if (test.seconds < fastest.value || test.seconds > slowest.value) {
    return failure(
      'no-paper-fits',
      `No paper drains that in ${test.seconds} s; between ${fastest.value.toFixed(0)} and ${slowest.value.toFixed(0)} s is possible.`,
    );
  }
  let [low, high] = [THINNEST_PER_M, DENSEST_PER_M];
  for (let halving = 0; halving < HALVINGS; halving++) {
    const middle = Math.sqrt(low * high);
    const drains = secondsAt(middle);
    if (drains.ok && drains.value < test.seconds) low = middle;
    else high = middle;
  }
  return success({ paperPerM: test.paperPerM, measuredPerM: Math.sqrt(low * high) });
}

/** A brew with its paper as measured, where it was. */
export function withMeasuredPaper(brew: BrewConditions, papers: readonly MeasuredPaper[]): BrewConditions {
  const measured = papers.find(({ paperPerM }) => paperPerM === brew.paperPerM);
  return measured ? { ...brew, paperPerM: measured.measuredPerM } : brew;
}
