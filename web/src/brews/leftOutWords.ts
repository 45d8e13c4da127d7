import type { PreparationTask, ServingTask } from '@vendu/core';

/** What was left out before the clock, as a record tells it. */
export const LEFT_OUT_WORDS: Record<PreparationTask, string> = {
  water: 'kettle not at temperature',
  soak: 'paper not soaked',
  fold: 'paper not seated',
  rinse: 'paper not rinsed',
  discard: 'rinse water not discarded',
  weigh: 'dose not weighed',
  grind: 'grinder not set',
  'second-grind': 'no second grind',
  sieve: 'not sieved',
  level: 'bed not shaken flat',
  'needles-dry': 'dry bed not needled',
  'shower-plate': 'no shower plate',
  'chill-ball': 'no chilled ball',
  regulator: 'no flow regulator',
  cups: 'no row of cups',
  tare: 'scale not tared',
};

/** What was left out of the serving, as a record tells it. */
export const NOT_SERVED_WORDS: Record<ServingTask, string> = {
  tail: 'tail not kept apart',
  bypass: 'no water added',
  mix: 'beverage not mixed',
  decant: 'not decanted',
};
