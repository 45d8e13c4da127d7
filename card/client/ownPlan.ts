import type { BrewPlan } from '@vendu/core';

/** The plan that is brewed here: the card's, or at a dose of one's own. */
export interface OwnPlan {
  now: () => BrewPlan;
  change: (plan: BrewPlan) => void;
  onChange: (follow: (plan: BrewPlan) => void) => void;
}

export function ownPlan(plan: BrewPlan): OwnPlan {
  let now = plan;
  const followers: ((plan: BrewPlan) => void)[] = [];
  return {
    now: () => now,
    change: (next) => {
      now = next;
      for (const follow of followers) follow(next);
    },
    onChange: (follow) => {
      followers.push(follow);
    },
  };
}
