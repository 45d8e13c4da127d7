import { planAgainstActual } from '../bench/planAgainstActual.js';
import { brewAsDone, type BrewDone } from './brewAsDone.js';
import type { BrewKit } from './conditions.js';
import type { MeasuredBrew, TracePoint } from './evidence.js';

/** A brew as the record keeps it. A figure nobody took is `null`. */
export interface BrewRecord extends BrewDone {
  beverageG: number | null;
  tdsPercent: number | null;
  /** Standard uncertainty of the strength against other brews read on the same instrument, where it is known. */
  tdsComparablePercent?: number;
  /** The beverage as it ran through, where a scale stood under the server. */
  outflow?: readonly TracePoint[];
}

/** A recorded brew as evidence of its lot. */
export function recordedBrew(record: BrewRecord, kit: BrewKit): MeasuredBrew {
  const { plan, tdsPercent, beverageG, tdsComparablePercent, outflow = [] } = record;
  const drawdown = planAgainstActual({ plan, done: record.steps }).find(
    ({ step }) => step.kind === 'drawdown',
  );
  return {
    brew: brewAsDone(record, kit),
    // A brewer lifted off says nothing of when it would have drained.
    drawdownS: plan.lifts ? null : (drawdown?.doneS ?? null),
    tdsPercent,
    beverageG,
    ...(outflow.length > 0 ? { trace: outflow } : {}),
    ...(tdsComparablePercent === undefined ? {} : { standard: { tdsPercent: tdsComparablePercent } }),
  };
}
