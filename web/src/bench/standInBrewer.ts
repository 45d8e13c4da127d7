import { conditionsOfPlan, simulatedBrewer, type SimulatedBed, type SimulatedBrewer } from '@vendu/core';
import { learnedFactors } from '../board/learnedFactors';
import { goingPlan, type BenchBrew } from './benchBrew';

/** A brewer for the stand-in scale, with the lot in it as far as its brews have taught; `null` where no kit is known. */
export async function standInBrewer(
  { ground, ...brew }: Pick<BenchBrew, 'ground' | 'plan' | 'log'>,
  bed: SimulatedBed = 'usual',
): Promise<SimulatedBrewer | null> {
  const factors = ground && (await learnedFactors(ground));
  if (!factors) return null;
  const { kit, roastAgeDays } = ground;
  const conditions = conditionsOfPlan({
    plan: goingPlan(brew),
    kit,
    ...(roastAgeDays === null ? {} : { roastAgeDays }),
  });
  const made = simulatedBrewer({ conditions, factors, bed });
  return made.ok ? made.value : null;
}
