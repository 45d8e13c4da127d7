import { success, type Result } from '../result.js';
import { fractionFault, type Fraction, type FractionFault } from './fraction.js';

/** Strength of two split brews at the same time, or at the same mass. */
interface AlignedPoint {
  /** Middle of the cups: s on the brew clock, or g in the cup. */
  at: number;
  firstTdsPercent: number | null;
  secondTdsPercent: number | null;
}

export interface AlignedSeries {
  points: AlignedPoint[];
  /**
   * By how much the second series runs behind the first, in the unit of the axis: the shift that lays their
   * strengths over each other best. A bloom delays the turn rather than changing it. `null` where too few cups
   * were read.
   */
  delay: number | null;
}

const FEWEST_READ = 3;
/** Shifts tried, as shares of the longer series. */
const WIDEST_SHIFT = 0.5;
const SHIFTS = 200;

/** Lays two series of cups of one lot side by side, by time or by mass. */
export function alignSeries({
  first,
  second,
  by,
}: {
  first: readonly Fraction[];
  second: readonly Fraction[];
  by: 'time' | 'mass';
}): Result<AlignedSeries, FractionFault> {
  const fault = fractionFault(first) ?? fractionFault(second);
  if (fault) return fault;
  const [a, b] = [curveOf(first, by), curveOf(second, by)];
  const axis = [...new Set([...a, ...b].map(({ at }) => at))].sort((x, y) => x - y);
  return success({
    points: axis.map((at) => ({
      at,
      firstTdsPercent: strengthAt(a, at),
      secondTdsPercent: strengthAt(b, at),
    })),
    delay: delayBetween(a, b),
  });
}

interface CurvePoint {
  at: number;
  tdsPercent: number;
}

/** Strength over the middles of the cups that were read. */
function curveOf(fractions: readonly Fraction[], by: 'time' | 'mass'): CurvePoint[] {
  let beforeG = 0;
  return fractions.flatMap(({ startS, endS, beverageG, tdsPercent }) => {
    const at = by === 'time' ? (startS + endS) / 2 : beforeG + beverageG / 2;
    beforeG += beverageG;
    return tdsPercent === null ? [] : [{ at, tdsPercent }];
  });
}

/** By straight lines between the cups; `null` outside them. */
function strengthAt(curve: readonly CurvePoint[], at: number): number | null {
  const above = curve.findIndex((point) => point.at >= at);
  const [low, high] = [curve[above - 1], curve[above]];
  if (!high) return null;
  if (high.at === at) return high.tdsPercent;
  if (!low) return null;
  return low.tdsPercent + ((at - low.at) / (high.at - low.at)) * (high.tdsPercent - low.tdsPercent);
}

/** Least mean square of the difference of the strengths' logarithms, over shifts where half of the cups meet. */
function delayBetween(a: readonly CurvePoint[], b: readonly CurvePoint[]): number | null {
  if (a.length < FEWEST_READ || b.length < FEWEST_READ) return null;
  const span = Math.max(a.at(-1)?.at ?? 0, b.at(-1)?.at ?? 0) * WIDEST_SHIFT;
  let best: { delay: number; miss: number } | null = null;
  for (let index = -SHIFTS; index <= SHIFTS; index++) {
    const delay = (span * index) / SHIFTS;
    const differences = b.flatMap(({ at, tdsPercent }) => {
      const other = strengthAt(a, at - delay);
      return other === null || other <= 0 || tdsPercent <= 0 ? [] : [Math.log(tdsPercent / other)];
    });
    if (differences.length < Math.max(2, b.length / 2)) continue;
    const miss = differences.reduce((sum, each) => sum + each ** 2, 0) / differences.length;
    // Equal misses: the smaller shift is the simpler story.
    if (
      !best ||
      miss < best.miss - 1e-12 ||
      (miss <= best.miss + 1e-12 && Math.abs(delay) < Math.abs(best.delay))
    ) {
      best = { delay, miss };
    }
  }
  return best?.delay ?? null;
}
