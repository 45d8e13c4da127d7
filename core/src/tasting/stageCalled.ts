import type { AfterBrewClock } from '../bench/afterBrew.js';
import type { TastingStage } from '../vocabulary.js';

/** When each stage is there, s after the end of the drain: hot at once, the others as the cup cools. */
export function stagesDueS(clocks: readonly AfterBrewClock[]): Record<TastingStage, number> {
  const dueS = (task: AfterBrewClock['task']) => clocks.find((clock) => clock.task === task)?.dueS ?? 0;
  return { hot: 0, warm: dueS('taste-warm'), cool: dueS('taste-cool') };
}

/** A cup is still warm so long before it is cool, as a share of the time between the two (assumed). */
const STILL = 0.5;

/** The stage that the cup is at. */
export function stageCalled(dueS: Record<TastingStage, number>, sinceDrainS: number): TastingStage {
  const from = (one: TastingStage, next: TastingStage) => dueS[one] + STILL * (dueS[next] - dueS[one]);
  if (sinceDrainS < from('hot', 'warm')) return 'hot';
  return sinceDrainS < from('warm', 'cool') ? 'warm' : 'cool';
}
