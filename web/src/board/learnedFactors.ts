import { wrap } from 'comlink';
import type { LearnedFactors } from '@vendu/core';
import type { BoardGround, Forecaster } from './forecaster';

/** What a lot is like by its brews, asked once in a worker of its own; `null` where nothing can be learned of them. */
export async function learnedFactors(ground: BoardGround): Promise<LearnedFactors | null> {
  const worker = new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<Forecaster>(worker);
  const trouble = await remote.learn(ground);
  const factors = trouble === null ? await remote.factors() : null;
  worker.terminate();
  return factors;
}
