import { wrap, type Remote } from 'comlink';
import type { BoardGround, Forecaster } from './forecaster';

/** A forecaster in a worker of its own, and what it has learned. */
export interface KeptForecaster {
  remote: Remote<Forecaster>;
  /** What it learns from; empty in one that waits to be asked for the first time. */
  groundKey: string;
  /** Why it could not learn; `null` once it has. */
  learned: Promise<string | null>;
  users: number;
  end: () => void;
}

/**
 * Workers stay when nobody uses them: the next page of a lot mostly asks of the same brews, and one that is there already
 * starts at once. So many, since the board and a brew may each want one.
 */
const MOST_IDLE = 2;
let kept: KeptForecaster[] = [];

/** A forecaster that has learned a lot, or is about to; it is given back when it is no longer asked. */
export function takeForecaster(groundKey: string): KeptForecaster {
  const same = kept.find((each) => each.groundKey === groundKey);
  if (same) {
    same.users += 1;
    return same;
  }
  // The newest: one that knew these brews but the last learns on from there.
  const idle = kept.findLast(({ users }) => users === 0);
  const { remote, end } = idle ?? started();
  const learned = remote.learn(JSON.parse(groundKey) as BoardGround);
  const taken: KeptForecaster = { remote, end, groundKey, learned, users: 1 };
  kept = [...kept.filter((each) => each !== idle), taken];
  return taken;
}

export function giveBack(given: KeptForecaster): void {
  given.users -= 1;
  const idle = kept.filter(({ users }) => users === 0);
  // The oldest go first: what was asked last is what is asked next.
  for (const spare of idle.slice(0, Math.max(0, idle.length - MOST_IDLE))) {
    spare.end();
    kept = kept.filter((each) => each !== spare);
  }
}

/** Has a worker there before it is asked: its program is loaded while the page still waits for the server. */
export function warmForecaster(): void {
  if (kept.length > 0) return;
  kept = [{ ...started(), groundKey: '', learned: Promise.resolve(null), users: 0 }];
}

function started(): Pick<KeptForecaster, 'remote' | 'end'> {
  const worker = new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<Forecaster>(worker);
  // One whose program did not come, as without a network, is not kept for the next page.
  worker.addEventListener('error', () => {
    kept = kept.filter((each) => each.remote !== remote);
  });
  return { remote, end: () => worker.terminate() };
}
