import { planChanges, type PlanChange } from '../plan/planChanges.js';
import { planWaterG, type BrewPlan } from '../plan/plan.js';

export type LeverMoved = PlanChange['figure'];

/** Totals are rounded to whole grams: a share that moves by less than this has not moved, of 1. */
const SAME_SHARE = 0.02;

/**
 * What was moved between two plans, each thing once: another ratio comes with other grams in every pour, and another end
 * is hoped for, not done. More than one, and nobody can tell which of them did it.
 */
export function leversMoved({ from, to }: { from: BrewPlan; to: BrewPlan }): LeverMoved[] {
  const figures = planChanges({ from, to }).map(({ figure }) => figure);
  const follows = new Set<LeverMoved>();
  if (from.lifts === to.lifts && !to.lifts) follows.add('drawdown');
  if (figures.includes('ratio')) {
    follows.add('water');
    follows.add('bypass');
    if (isScaled(from, to)) {
      follows.add('pours');
      follows.add('bloom');
    }
  }
  return figures.filter((figure) => !follows.has(figure));
}

/** The same pours at the same moments, each with its share of another amount. */
function isScaled(from: BrewPlan, to: BrewPlan): boolean {
  const share = (plan: BrewPlan, index: number) => (plan.pours[index]?.amountG ?? 0) / planWaterG(plan);
  return (
    from.pours.length === to.pours.length &&
    from.pours.every(
      ({ startS }, index) =>
        startS === to.pours[index]?.startS && Math.abs(share(from, index) - share(to, index)) <= SAME_SHARE,
    )
  );
}
