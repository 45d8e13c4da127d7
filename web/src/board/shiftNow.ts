import type { BrewPlan, Expectation } from '@vendu/core';
import type { BoardGround } from './forecaster';
import { giveBack, takeForecaster } from './keptForecasters';

/** Nobody waits longer than this to save, ms: what is expected then goes unsaid. */
const AT_MOST_MS = 4000;

/** What going from one plan to another is expected to do, however soon it is asked: it is waited for, but not for ever. */
export async function shiftNow(
  ground: BoardGround,
  from: BrewPlan,
  to: BrewPlan,
): Promise<Expectation['figures']> {
  const taken = takeForecaster(JSON.stringify(ground));
  const tooLate = new Promise<null>((resolve) => setTimeout(() => resolve(null), AT_MOST_MS));
  const worked = taken.learned.then((trouble) => (trouble === null ? taken.remote.change(from, to) : null));
  try {
    return await Promise.race([worked, tooLate]);
  } finally {
    giveBack(taken);
  }
}
