import { pourEndS, runningTotalsG, type BrewPlan } from '../plan/plan.js';

/** One thing to do at the bench, in the order of doing. */
export type BenchStep =
  | {
      kind: 'pour';
      pourNumber: number;
      isBloom: boolean;
      plannedS: number;
      endS: number;
      amountG: number;
      totalG: number;
    }
  | { kind: 'agitate'; how: 'swirl' | 'stir'; pourNumber: number; plannedS: number }
  | { kind: 'drawdown'; plannedS: number };

/**
 * The plan as a list of instructions. Agitation comes as a step of its own, at the end of its pour,
 * because a swirl left out is the commonest difference between the card and the brew.
 */
export function benchSteps(plan: BrewPlan): BenchStep[] {
  const totals = runningTotalsG(plan);
  const steps = plan.pours.flatMap((pour, index): BenchStep[] => {
    const endS = pourEndS(pour);
    const poured: BenchStep = {
      kind: 'pour',
      pourNumber: index + 1,
      isBloom: pour.isBloom,
      plannedS: pour.startS,
      endS,
      amountG: pour.amountG,
      totalG: totals[index] ?? 0,
    };
    if (pour.agitation === 'none') return [poured];
    return [
      poured,
      { kind: 'agitate', how: pour.agitation, pourNumber: index + 1, plannedS: Math.ceil(endS) },
    ];
  });
  return [...steps, { kind: 'drawdown', plannedS: plan.drawdownS }];
}
