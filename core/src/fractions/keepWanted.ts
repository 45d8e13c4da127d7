import { firstOutOfRange, type OutOfRange } from '../input/ranges.js';
import { planWaterG, roundToTenth, type BrewPlan, type Pour } from '../plan/plan.js';
import { failure, success, type Failure, type Result } from '../result.js';
import { cumulativeFractions, type CumulativePoint } from './cumulative.js';
import type { Fraction, FractionFault } from './fraction.js';

/** The cup had the brew been stopped at a time. */
export type StoppedCup = Omit<CumulativePoint, 'solidsG'>;

/**
 * What would be in the cup had the brewer been lifted at a time, from the cups of a split brew: strength runs
 * evenly through each cup.
 */
export function stoppedCup({
  fractions,
  doseG,
  stopS,
}: {
  fractions: readonly Fraction[];
  doseG: number;
  stopS: number;
}): Result<StoppedCup, FractionFault | Failure<'outside-the-cups'>> {
  const cumulated = cumulativeFractions({ fractions, doseG });
  if (!cumulated.ok) return cumulated;
  const points = cumulated.value;
  const above = points.findIndex(({ atS }) => atS >= stopS);
  const [low, high] = [points[Math.max(0, above - 1)], points[above]];
  if (!low || !high || stopS < low.atS) {
    return failure(
      'outside-the-cups',
      `The cups cover ${points[0]?.atS ?? 0} to ${points.at(-1)?.atS ?? 0} s.`,
    );
  }
  const share = high.atS === low.atS ? 1 : (stopS - low.atS) / (high.atS - low.atS);
  const between = (a: number | null, b: number | null) =>
    a === null || b === null ? null : a + share * (b - a);
  const beverageG = between(low.beverageG, high.beverageG) ?? 0;
  const solidsG = between(low.solidsG, high.solidsG);
  return success({
    atS: stopS,
    beverageG,
    tdsPercent: solidsG === null || beverageG === 0 ? null : (solidsG / beverageG) * 100,
    yieldPercent: solidsG === null ? null : (solidsG / doseG) * 100,
  });
}

/**
 * Moves a plan's water so that a share of it is poured before a time: the pours that start before it take
 * more in their old proportion, the later ones less. Clock, bloom and water stay.
 */
export function moveWater({
  plan,
  share,
  beforeS,
}: {
  plan: BrewPlan;
  /** Share of all water to be poured by pours that start before the time, 0 to 1. */
  share: number;
  beforeS: number;
}): Result<BrewPlan, OutOfRange | Failure<'no-pour-before' | 'no-pour-after' | 'bloom-is-more'>> {
  const fault = firstOutOfRange(
    { share, beforeS },
    { share: { low: 0.05, high: 0.95, unit: '' }, beforeS: { low: 1, high: 3600, unit: 's' } },
  );
  if (fault) return fault;
  const isEarly = ({ startS, isBloom }: Pour) => !isBloom && startS < beforeS;
  const isLate = ({ startS, isBloom }: Pour) => !isBloom && startS >= beforeS;
  if (!plan.pours.some(isEarly)) {
    return failure(
      'no-pour-before',
      'No pour after the bloom starts before that time; move one there first.',
    );
  }
  if (!plan.pours.some(isLate)) {
    return failure('no-pour-after', 'No pour starts after that time: all the water is already in before it.');
  }
  const waterG = planWaterG(plan);
  const bloomG = planWaterG({ pours: plan.pours.filter(({ isBloom }) => isBloom) });
  const earlyG = share * waterG - bloomG;
  if (earlyG <= 0)
    return failure('bloom-is-more', `The bloom alone is ${bloomG} g, more than that share of the water.`);
  const scaled = (pours: readonly Pour[], totalG: number) => totalG / planWaterG({ pours });
  const early = scaled(plan.pours.filter(isEarly), earlyG);
  const late = scaled(plan.pours.filter(isLate), waterG - bloomG - earlyG);
  let givenG = 0;
  return success({
    ...plan,
    pours: plan.pours.map((pour, index) => {
      const isLast = index === plan.pours.length - 1;
      const wantedG = pour.isBloom ? pour.amountG : Math.round(pour.amountG * (isEarly(pour) ? early : late));
      const amountG = isLast ? roundToTenth(waterG - givenG) : wantedG;
      givenG += amountG;
      return { ...pour, amountG };
    }),
  });
}
