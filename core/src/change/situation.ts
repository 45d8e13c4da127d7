import { NEAR_ENOUGH, type Targets } from './targets.js';

/** What the last brew measured; a figure nobody took is `null`, never a guess. */
export interface LastBrew {
  tdsPercent: number | null;
  yieldPercent: number | null;
  drawdownS: number | null;
  /** Standard uncertainties of the measurement. */
  uncertainty: { tdsPercent: number; yieldPercent: number; drawdownS: number };
}

export type Standing = 'low' | 'on-aim' | 'high' | 'unknown';

/** Where the last brew stands against its aim: time, strength and yield read together, never one alone. */
export interface Situation {
  strength: Standing;
  yield: Standing;
  time: Standing;
  /** Figures whose miss is no larger than what the instruments leave open. */
  withinUncertainty: boolean;
}

export function situationOf(last: LastBrew | null, targets: Targets): Situation {
  const window = { ...NEAR_ENOUGH, ...targets.within };
  const standing = (value: number | null | undefined, target: number | undefined, half: number): Standing => {
    if (value == null || target === undefined) return 'unknown';
    if (Math.abs(value - target) <= half) return 'on-aim';
    return value < target ? 'low' : 'high';
  };
  const open = (value: number | null | undefined, target: number | undefined, sd: number, half: number) =>
    value == null || target === undefined || Math.abs(value - target) <= Math.max(half, 2 * sd);
  const { uncertainty } = last ?? {};
  return {
    strength: standing(last?.tdsPercent, targets.tdsPercent, window.tdsPercent),
    yield: standing(last?.yieldPercent, targets.yieldPercent, window.yieldPercent),
    time: standing(last?.drawdownS, targets.drawdownS, window.drawdownS),
    withinUncertainty:
      last !== null &&
      (last.tdsPercent !== null || last.yieldPercent !== null) &&
      open(last.tdsPercent, targets.tdsPercent, uncertainty?.tdsPercent ?? 0, window.tdsPercent) &&
      open(last.yieldPercent, targets.yieldPercent, uncertainty?.yieldPercent ?? 0, window.yieldPercent) &&
      open(last.drawdownS, targets.drawdownS, uncertainty?.drawdownS ?? 0, window.drawdownS),
  };
}
