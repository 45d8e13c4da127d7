import type { DayFollow, DayPerson, FollowWindow } from './dayJob.js';

/** One thing that somebody does. Times are minutes of the day. */
export interface DayTask {
  jobId: string;
  task: 'brew' | DayFollow;
  startMin: number;
  endMin: number;
  /** Index into the people. */
  person: number;
}

/** Something that waits for a free hand within a window. */
export interface Waiting {
  jobId: string;
  follow: DayFollow;
  /** It may begin from here to there. */
  fromMin: number;
  toMin: number;
  takesMin: number;
  sipMg: number;
  /** The cup stands already: it cannot be put off by not brewing it. */
  isStanding: boolean;
}

export function waiting(
  jobId: string,
  drainedMin: number,
  follow: DayFollow,
  { fromMin, toMin, takesMin }: FollowWindow,
  { sipMg, isStanding }: { sipMg: number; isStanding: boolean },
): Waiting {
  return {
    jobId,
    follow,
    fromMin: Math.ceil(drainedMin + fromMin),
    toMin: Math.floor(drainedMin + toMin),
    takesMin,
    sipMg: follow === 'read' ? 0 : sipMg,
    isStanding,
  };
}

/** What was found for all that waits. */
export interface FollowUps {
  tasks: DayTask[];
  missed: Waiting[];
  caffeineMg: number[];
}

/**
 * Gives all that waits to whoever is free between what is fixed, what must begin soonest first; of several hands to those
 * that have had the least caffeine.
 *
 * @param fixed - brews, and what was begun before
 * @param all - that waits, in any order
 * @returns `null` where something of a brew that is yet to be made finds no hand in its window
 */
export function followUps({
  fixed,
  all,
  people,
  nowMin,
}: {
  fixed: readonly DayTask[];
  all: readonly Waiting[];
  people: readonly DayPerson[];
  nowMin: number;
}): FollowUps | null {
  const pending = [...all].sort((a, b) => a.toMin - b.toMin);
  const hands = people.map(({ fromMin, toMin }, person) => ({
    fixed: fixed.filter((task) => task.person === person).sort((a, b) => a.startMin - b.startMin),
    fromMin: Math.max(nowMin, Math.ceil(fromMin)),
    toMin,
  }));
  const caffeineMg = people.map((person) => person.caffeineMg);
  const tasks: DayTask[] = [];
  const missed: Waiting[] = [];
  let minute = Math.max(nowMin, Math.min(...pending.map(({ fromMin }) => fromMin)));
  while (pending.length > 0) {
    while (pending[0] && pending[0].toMin < minute) {
      const late = pending.shift();
      if (!late?.isStanding) return null;
      missed.push(late);
    }
    const now = minute;
    const free = hands
      .map((hand, person) => ({ hand, person }))
      .filter(({ hand }) => isFree(hand, now))
      .sort((a, b) => (caffeineMg[a.person] ?? 0) - (caffeineMg[b.person] ?? 0));
    for (const { hand, person } of free) {
      const until = Math.min(
        hand.toMin,
        hand.fixed.find(({ startMin }) => startMin >= now)?.startMin ?? Infinity,
      );
      const next = pending.findIndex(({ fromMin, takesMin }) => fromMin <= now && now + takesMin <= until);
      if (next < 0) continue;
      const [{ jobId, follow, takesMin, sipMg }] = pending.splice(next, 1) as [Waiting];
      tasks.push({ jobId, task: follow, startMin: now, endMin: now + takesMin, person });
      hand.fromMin = now + takesMin;
      caffeineMg[person] = (caffeineMg[person] ?? 0) + sipMg;
    }
    minute = nextMoment(hands, pending, now);
  }
  return { tasks, missed, caffeineMg };
}

interface Hand {
  fixed: readonly DayTask[];
  /** In, and not at something else, from this minute on. */
  fromMin: number;
  toMin: number;
}

function isFree({ fixed, fromMin, toMin }: Hand, minute: number): boolean {
  return (
    fromMin <= minute &&
    minute < toMin &&
    !fixed.some(({ startMin, endMin }) => startMin <= minute && minute < endMin)
  );
}

/** The next minute at which somebody gets free or something may begin; nothing changes in between. */
function nextMoment(hands: readonly Hand[], pending: readonly Waiting[], now: number): number {
  let next = Infinity;
  const consider = (minute: number) => {
    if (minute > now && minute < next) next = minute;
  };
  for (const { fromMin, fixed } of hands) {
    consider(fromMin);
    for (const { endMin } of fixed) consider(endMin);
  }
  for (const { fromMin, toMin } of pending) {
    consider(fromMin);
    consider(toMin + 1);
  }
  return next;
}
