import { failure, success, type Failure, type Result } from '../result.js';
import { cumulativeFractions } from './cumulative.js';
import { fractionFault, type Fraction, type FractionFault } from './fraction.js';

/** Where a brew turns: what comes after is no longer worth having. */
export interface Turn {
  atS: number;
  /** Beverage up to there, g. */
  beverageG: number;
  /** Whether somebody tasted it or only the strengths say so. */
  basis: 'taste' | 'strength';
}

/**
 * Where the cup turns. Tasted cups decide: it turns at the end of the last wanted one that no unwanted one
 * came before. Without tastes the strengths do: where the solids added up bend most, the point of the curve
 * farthest from the straight line between its ends.
 */
export function turnOf({
  fractions,
}: {
  fractions: readonly Fraction[];
}): Result<Turn, FractionFault | Failure<'not-tasted-nor-read' | 'does-not-turn'>> {
  const fault = fractionFault(fractions);
  if (fault) return fault;
  const cumulated = cumulativeFractions({ fractions, doseG: 1 });
  if (!cumulated.ok) return cumulated;
  const points = cumulated.value;
  const unwanted = fractions.findIndex(({ wanted }) => wanted === false);
  if (unwanted >= 0) {
    const turned = points[unwanted];
    if (unwanted === 0 || !turned) {
      return failure('does-not-turn', 'The first cup is already unwanted: nothing comes before the turn.');
    }
    return success({ atS: turned.atS, beverageG: turned.beverageG, basis: 'taste' });
  }
  if (fractions.every(({ wanted }) => wanted === true)) {
    return failure('does-not-turn', 'Every cup is wanted: the brew does not turn before its end.');
  }
  const total = points.at(-1);
  if (fractions.length < 3 || total?.solidsG == null || total.solidsG === 0) {
    return failure(
      'not-tasted-nor-read',
      'Mark which cups are wanted, or read the strength of three or more of them, all of those there are.',
    );
  }
  const solidsG = total.solidsG;
  const bend = (index: number) => {
    const point = points[index];
    return (point?.solidsG ?? 0) / solidsG - (point?.beverageG ?? 0) / total.beverageG;
  };
  const knee = points.reduce((best, _, index) => (bend(index) > bend(best) + 1e-12 ? index : best), 0);
  const turned = points[knee];
  if (knee === 0 || !turned) {
    return failure('does-not-turn', 'The strengths do not fall along the brew: nothing says where it turns.');
  }
  return success({ atS: turned.atS, beverageG: turned.beverageG, basis: 'strength' });
}
