import { wrap, type Remote } from 'comlink';
import type { DayInput, DayPlan } from '@vendu/core';
import type { Planner } from './plan.worker';

let kept: Remote<Planner> | null = null;

/** Works a day out beside the page: orders are tried, which takes a moment. */
export function askPlan(input: DayInput, order: readonly string[] | null): Promise<DayPlan> {
  kept ??= wrap<Planner>(new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' }));
  return kept.planDay(input, order);
}
