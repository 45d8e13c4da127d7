import { standingOf, TARGETS, type Standing, type Targets } from '../aim/aim.js';

/** What the last brew measured; a figure nobody took is `null`, never a guess. */
export interface LastBrew {
  tdsPercent: number | null;
  yieldPercent: number | null;
  drawdownS: number | null;
  /** Standard uncertainties of the measurement. */
  uncertainty: { tdsPercent: number; yieldPercent: number; drawdownS: number };
}

/** Where the last brew stands against its aim: time, strength and yield read together, never one alone. */
export interface Situation {
  strength: Standing;
  yield: Standing;
  time: Standing;
  /** Measured, and no farther outside its windows than the instruments leave open. */
  withinUncertainty: boolean;
}

export function situationOf(last: LastBrew | null, targets: Targets): Situation {
  const isOpen = (figure: (typeof TARGETS)[number]) => {
    const [value, window] = [last?.[figure], targets[figure]];
    if (value == null || window === undefined) return true;
    const leftOpen = 2 * (last?.uncertainty[figure] ?? 0);
    return standingOf(value, { low: window.low - leftOpen, high: window.high + leftOpen }) === 'on-aim';
  };
  return {
    strength: standingOf(last?.tdsPercent, targets.tdsPercent),
    yield: standingOf(last?.yieldPercent, targets.yieldPercent),
    time: standingOf(last?.drawdownS, targets.drawdownS),
    withinUncertainty:
      last !== null && (last.tdsPercent !== null || last.yieldPercent !== null) && TARGETS.every(isOpen),
  };
}
