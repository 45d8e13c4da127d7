import type { LotStage } from '../vocabulary.js';

export type DueAction = 'roast' | 'first-brew' | 'next-brew' | 'sign-off' | 'publish' | 'recheck' | 'nothing';

/** What is to be done with a lot next, and whether it presses. */
export interface LotDue {
  action: DueAction;
  isPressing: boolean;
}

export const DUE_RULES = {
  /** So near to its launch a lot without a public recipe presses, days (assumed). */
  launchNearDays: 3,
} as const;

const NEXT: Record<LotStage, DueAction> = {
  arrived: 'first-brew',
  'first-brews': 'next-brew',
  'dialling-in': 'next-brew',
  proving: 'sign-off',
  'signed-off': 'publish',
  published: 'recheck',
  watched: 'recheck',
};

/**
 * What a lot waits for.
 *
 * @param isRoasted - a batch of it is there to brew
 * @param daysToLaunch - below 0 when it is past; `null` where there is no date
 * @param daysToRecheck - until a public recipe of it is to be brewed again, 0 or below where it is due; `null` where none is public
 */
export function lotDue({
  stage,
  isRoasted,
  daysToLaunch,
  daysToRecheck,
}: {
  stage: LotStage;
  isRoasted: boolean;
  daysToLaunch: number | null;
  daysToRecheck: number | null;
}): LotDue {
  const action = isRoasted ? NEXT[stage] : 'roast';
  if (action !== 'recheck') {
    return { action, isPressing: daysToLaunch !== null && daysToLaunch <= DUE_RULES.launchNearDays };
  }
  const isDue = daysToRecheck !== null && daysToRecheck <= 0;
  return { action: isDue ? 'recheck' : 'nothing', isPressing: isDue };
}
