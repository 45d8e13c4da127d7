import type { DayFollow, DayPlan } from '@vendu/core';
import type { TodayAfter } from '@vendu/contract';

/** Cups of one lot that nobody gets to in the time of a step, by step. */
export interface MissedCups {
  lotName: string;
  steps: { follow: DayFollow; brews: { brewId: number; number: number }[] }[];
}

/** What nobody gets to, by lot: an afternoon of cups is a line, not a page. */
export function missedCups(missed: DayPlan['missed'], afters: readonly TodayAfter[]): MissedCups[] {
  const lots = new Map<string, MissedCups>();
  for (const { id, follow } of missed) {
    const after = afters.find(({ brewId }) => `brew-${brewId}` === id);
    if (!after) continue;
    const { lotName, brewId, number } = after;
    const lot = lots.get(lotName) ?? { lotName, steps: [] };
    lots.set(lotName, lot);
    const step = lot.steps.find((each) => each.follow === follow);
    if (step) step.brews.push({ brewId, number });
    else lot.steps.push({ follow, brews: [{ brewId, number }] });
  }
  for (const { steps } of lots.values()) {
    for (const { brews } of steps) brews.sort((a, b) => a.number - b.number);
  }
  return [...lots.values()];
}
