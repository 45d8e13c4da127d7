import type { RecheckReason } from '@vendu/core';
import type { WatchAlarm } from '@vendu/contract';

/** How the last recheck of a recipe lay off what was proven, for other lots of its grinder and meter. */
export interface KeptShift {
  grinder: string;
  byStrengthSd: number;
  /** Left out of what was kept before it was asked. */
  byDrainSd?: number | null;
  /** Calendar date. */
  on: string;
}

/** What is known of a public recipe by its records, kept with its lot so that the list of all is quick. */
export interface WatchState {
  recipeId: number;
  recipeVersionId: number;
  versionNumber: number;
  dueOn: string;
  /** Without time: that is told by the date. */
  reasons: RecheckReason[];
  alarms: WatchAlarm[];
  lastCheckedAt: string | null;
  shift: KeptShift | null;
  /** What each new batch did to its strength, percent TDS; left out of what was kept before it was asked. */
  batchShiftsPercent?: readonly number[];
}
