import { REPEATABILITY_PERCENT, SAMPLE_PERCENT } from '../extraction/instruments.js';
import { firstOutOfRange } from '../input/ranges.js';
import { EVIDENCE_RANGES, TRACE_RANGES, type TracePoint } from './evidence.js';

/** One cup of a split brew, as far as it was weighed and read. */
export interface SplitCup {
  endS: number;
  beverageG: number | null;
  tdsPercent: number | null;
}

/** What the cups of a split brew say together. */
export interface CupsTogether {
  /** The running mass at each change of cups, as far as all were weighed. */
  trace: TracePoint[];
  /** The cups from the first on that were weighed and read, as one; `null` where the first was not, or they are too little to learn from. */
  read: {
    beverageG: number;
    tdsPercent: number;
    /** Standard uncertainty against other brews on the same instrument. */
    comparablePercent: number;
    /** All cups are in it; else it is the brew as it stood at `untilS`. */
    isWhole: boolean;
    untilS: number;
  } | null;
}

/**
 * Cups read one by one, as evidence of their lot: poured together in thought they are one cup, or the part of the brew
 * that had run through when the last of them was taken away.
 *
 * @param cups - in the order in which they were changed
 */
export function cupsTogether(cups: readonly SplitCup[]): CupsTogether {
  const weighed = leading(cups, ({ beverageG }) => beverageG !== null);
  const read = leading(weighed, ({ tdsPercent }) => tdsPercent !== null);
  let runningG = 0;
  const trace = weighed
    .map(({ endS, beverageG }) => ({ atS: endS, beverageG: (runningG += beverageG ?? 0) }))
    .filter((point) => firstOutOfRange(point, TRACE_RANGES) === null);
  const sum = (of: (cup: SplitCup) => number) => read.reduce((total, cup) => total + of(cup), 0);
  const beverageG = sum((cup) => cup.beverageG ?? 0);
  const last = read.at(-1);
  if (!last || beverageG === 0) return { trace, read: null };
  const tdsPercent = sum((cup) => (cup.beverageG ?? 0) * (cup.tdsPercent ?? 0)) / beverageG;
  // A sip of a first cup, or one as strong as no brew is, would be refused as evidence, and the lot's other brews with it.
  const isEvidence =
    firstOutOfRange({ tdsPercent, beverageG }, EVIDENCE_RANGES) === null &&
    last.endS <= TRACE_RANGES.atS.high;
  if (!isEvidence) return { trace, read: null };
  // Each cup is a sample and a reading of its own.
  const oneCup = Math.hypot(SAMPLE_PERCENT, REPEATABILITY_PERCENT);
  return {
    trace,
    read: {
      beverageG,
      tdsPercent,
      comparablePercent: (oneCup * Math.sqrt(sum((cup) => (cup.beverageG ?? 0) ** 2))) / beverageG,
      isWhole: read.length === cups.length,
      untilS: last.endS,
    },
  };
}

function leading<T>(list: readonly T[], holds: (item: T) => boolean): readonly T[] {
  const end = list.findIndex((item) => !holds(item));
  return end === -1 ? list : list.slice(0, end);
}
