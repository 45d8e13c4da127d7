import { wrap, type Remote } from 'comlink';
import { planDay, type DayInput, type DayPlan } from '@vendu/core';
import type { Planner } from './plan.worker';

/** A worker and its end, should its program not come. */
interface Kept {
  remote: Remote<Planner>;
  broke: Promise<never>;
}
let kept: Kept | null = null;

/** Works a day out beside the page: orders are tried, which takes a moment. Without its worker the page does it itself. */
export async function askPlan(input: DayInput, order: readonly string[] | null): Promise<DayPlan> {
  try {
    kept ??= started();
    return await Promise.race([kept.remote.planDay(input, order), kept.broke]);
  } catch {
    kept = null;
    return planDay(input, order);
  }
}

function started(): Kept {
  const worker = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' });
  const broke = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('the planner did not start')));
  });
  return { remote: wrap<Planner>(worker), broke };
}
