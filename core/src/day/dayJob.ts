import { afterBrew, type AfterBrewTask } from '../bench/afterBrew.js';
import type { TastingStage } from '../vocabulary.js';

/** A brew that is to be made on a day. Times are minutes of the day. */
export interface DayJob {
  id: string;
  /** From the empty brewer to the weighed beverage: one pair of hands and one kettle, min. */
  brewMin: number;
  /** Late from this minute on; `null` where it only should be done. */
  dueMin: number | null;
  /** What is tasted; the sample is always read. */
  stages: readonly TastingStage[];
  /** Caffeine that one stage costs whoever tastes it, mg. */
  sipMg: number;
}

/** A brew that ran through already and waits for its tongue: its windows count from its real end. */
export interface DayAfter {
  id: string;
  drainedMin: number;
  left: readonly DayFollow[];
  sipMg: number;
}

export interface DayPerson {
  name: string;
  fromMin: number;
  toMin: number;
  /** Swallowed in the last 24 hours, mg. */
  caffeineMg: number;
}

export interface DayCrew {
  people: readonly DayPerson[];
  kettles: number;
}

/** What follows a brew, in this order. */
export const DAY_FOLLOWS = ['taste-hot', 'read', 'taste-warm', 'taste-cool'] as const;
export type DayFollow = (typeof DAY_FOLLOWS)[number];

/** When it may begin, from the end of the drain, and how long it takes, min. */
export interface FollowWindow {
  fromMin: number;
  toMin: number;
  takesMin: number;
}

/** How long a sheet and a reading take, min (assumed). */
const TAKES_MIN: Record<DayFollow, number> = { 'taste-hot': 3, read: 2, 'taste-warm': 3, 'taste-cool': 3 };
/** How far around its moment each may be done without being another cup, min (assumed). */
const AROUND_MIN: Record<DayFollow, { before: number; after: number }> = {
  'taste-hot': { before: 0, after: 6 },
  read: { before: 0, after: 30 },
  'taste-warm': { before: 2, after: 9 },
  'taste-cool': { before: 3, after: 35 },
};
/** A cup is poured and let come down from scalding, min (assumed). */
const HOT_AFTER_MIN = 2;

/** When what follows a brew may begin, by the same cooling as the clocks on the strip. */
export function followWindows({ roomC }: { roomC: number }): Record<DayFollow, FollowWindow> {
  const clocks = afterBrew({ roomC });
  const due = (task: AfterBrewTask) => {
    const clock = clocks.ok ? clocks.value.find((each) => each.task === task) : undefined;
    return Math.ceil((clock?.dueS ?? 0) / 60);
  };
  const around = (follow: DayFollow, atMin: number): FollowWindow => ({
    fromMin: atMin - AROUND_MIN[follow].before,
    toMin: atMin + AROUND_MIN[follow].after,
    takesMin: TAKES_MIN[follow],
  });
  return {
    'taste-hot': around('taste-hot', HOT_AFTER_MIN),
    read: around('read', due('read')),
    'taste-warm': around('taste-warm', due('taste-warm')),
    'taste-cool': around('taste-cool', due('taste-cool')),
  };
}

const FOLLOW_STAGE: Record<Exclude<DayFollow, 'read'>, TastingStage> = {
  'taste-hot': 'hot',
  'taste-warm': 'warm',
  'taste-cool': 'cool',
};

export function followsOf(stages: readonly TastingStage[]): DayFollow[] {
  return DAY_FOLLOWS.filter((follow) => follow === 'read' || stages.includes(FOLLOW_STAGE[follow]));
}
