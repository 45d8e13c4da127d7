import { markedDrainS } from '../bench/planAgainstActual.js';
import { brewAsDone, type BrewDone } from './brewAsDone.js';
import type { BrewConditions, BrewKit } from './conditions.js';
import { cupsTogether, type SplitCup } from './cupsAsEvidence.js';
import { EVIDENCE_RANGES, type MeasuredBrew, type TracePoint } from './evidence.js';

/** A brew as the record keeps it. A figure nobody took is `null`. */
export interface BrewRecord extends BrewDone {
  beverageG: number | null;
  tdsPercent: number | null;
  /** Standard uncertainty of the strength against other brews read on the same instrument, where it is known. */
  tdsComparablePercent?: number;
  /** The beverage as it ran through, where a scale stood under the server. */
  outflow?: readonly TracePoint[];
  /** The cups of a split brew, in the order in which they were changed. */
  cups?: readonly SplitCup[];
}

/**
 * A recorded brew as evidence of its lot. A split brew that nobody mixed and read counts by its cups, together: all of
 * it, or as a brewer lifted off when the last cup that was read was taken away.
 */
export function recordedBrew(record: BrewRecord, kit: BrewKit): MeasuredBrew {
  const { plan, tdsPercent, beverageG, tdsComparablePercent, outflow = [], cups = [] } = record;
  const split = cupsTogether(cups);
  const trace = outflow.length > 0 ? outflow : split.trace;
  const cup =
    tdsPercent === null && split.read
      ? { ...split.read, brew: ofCups(brewAsDone(record, kit), split.read, plan.lifts === true) }
      : { tdsPercent, beverageG, comparablePercent: tdsComparablePercent, brew: brewAsDone(record, kit) };
  return {
    brew: cup.brew,
    // A brewer lifted off says nothing of when it would have drained.
    drawdownS: plan.lifts ? null : believable(markedDrainS(record)),
    tdsPercent: cup.tdsPercent,
    beverageG: cup.beverageG,
    ...(trace.length > 0 ? { trace } : {}),
    ...(cup.comparablePercent === undefined ? {} : { standard: { tdsPercent: cup.comparablePercent } }),
  };
}

/** A drain that no brew can have is a slip of the finger: it teaches nothing, and no forecast stops for it. */
function believable(drawdownS: number | null): number | null {
  const { low, high } = EVIDENCE_RANGES.drawdownS;
  return drawdownS !== null && drawdownS >= low && drawdownS <= high ? drawdownS : null;
}

/** Nothing is added to cups that are tasted one by one, and what was taken away before the end is a part. */
function ofCups(
  { bypassG: _, ...brew }: BrewConditions,
  { isWhole, untilS }: { isWhole: boolean; untilS: number },
  lifts: boolean,
): BrewConditions {
  return isWhole && !lifts ? brew : { ...brew, liftAtS: untilS };
}
