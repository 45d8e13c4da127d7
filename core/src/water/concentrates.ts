import { firstOutOfRange, outOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { success, type Result } from '../result.js';
import type { WaterTarget } from './mixWater.js';

/** A bottle of concentrate: what one gram of it brings to a litre, mg/L as CaCO3. */
export interface Concentrate {
  hardnessPerG: number;
  alkalinityPerG: number;
  /** Most that may go into a litre, g; a bottle is never poured in. */
  mostG?: number;
}

export interface ConcentrateDoses {
  /** Grams of each for a litre, in the order given. */
  dosesG: [number, number];
  reached: WaterTarget;
  /** Target less reached, mg/L as CaCO3; both 0 where it is hit. Below 0 there is too much. */
  missing: WaterTarget;
}

const AS_CACO3: Range = { low: 0, high: 5000, unit: 'mg/L' };
const PER_G: Range = { low: 0, high: 5000, unit: 'mg/L per g' };
const MOST_G = 50;

/**
 * Doses of two concentrates that bring a water to a hardness and an alkalinity, or as near as they can:
 * nothing can be taken out of a water, and one bottle may hold both minerals.
 *
 * Least squares with bounds: the free solution where it fits, else the best of the edges. Two unknowns have
 * few enough edges to try them all.
 */
export function concentrateDoses({
  base,
  target,
  concentrates,
}: {
  base: WaterTarget;
  target: WaterTarget;
  concentrates: readonly [Concentrate, Concentrate];
}): Result<ConcentrateDoses, OutOfRange> {
  const ranges = { hardnessMgPerL: AS_CACO3, alkalinityMgPerL: AS_CACO3 };
  const fault =
    outOfRange('concentrates.length', concentrates.length, { low: 2, high: 2, unit: 'concentrates' }) ??
    firstOutOfRange(base, ranges) ??
    firstOutOfRange(target, ranges) ??
    concentrateFault(concentrates[0], 0) ??
    concentrateFault(concentrates[1], 1);
  if (fault) return fault;
  const reachedBy = ([first, second]: readonly [number, number]): WaterTarget => ({
    hardnessMgPerL:
      base.hardnessMgPerL + first * concentrates[0].hardnessPerG + second * concentrates[1].hardnessPerG,
    alkalinityMgPerL:
      base.alkalinityMgPerL +
      first * concentrates[0].alkalinityPerG +
      second * concentrates[1].alkalinityPerG,
  });
  const missBy = (doses: readonly [number, number]): WaterTarget => {
    const reached = reachedBy(doses);
    return {
      hardnessMgPerL: target.hardnessMgPerL - reached.hardnessMgPerL,
      alkalinityMgPerL: target.alkalinityMgPerL - reached.alkalinityMgPerL,
    };
  };
  const squared = (doses: readonly [number, number]) => {
    const { hardnessMgPerL, alkalinityMgPerL } = missBy(doses);
    return hardnessMgPerL ** 2 + alkalinityMgPerL ** 2;
  };
  const dosesG = candidates(missBy([0, 0]), concentrates).reduce<[number, number]>(
    (best, doses) => (squared(doses) < squared(best) - 1e-12 ? doses : best),
    [0, 0],
  );
  return success({ dosesG, reached: reachedBy(dosesG), missing: missBy(dosesG) });
}

function concentrateFault(
  { hardnessPerG, alkalinityPerG, mostG }: Concentrate,
  index: number,
): OutOfRange | null {
  const path = `concentrates.${index}`;
  return (
    outOfRange(`${path}.hardnessPerG`, hardnessPerG, PER_G) ??
    outOfRange(`${path}.alkalinityPerG`, alkalinityPerG, PER_G) ??
    (mostG === undefined ? null : outOfRange(`${path}.mostG`, mostG, { low: 0, high: 1000, unit: 'g' }))
  );
}

/** Both free, or either at an end of its span with the other as good as it can be. */
function candidates(wanted: WaterTarget, [a, b]: readonly [Concentrate, Concentrate]): [number, number][] {
  const most = [a.mostG ?? MOST_G, b.mostG ?? MOST_G] as const;
  const within = (dose: number, limit: number) => Math.min(limit, Math.max(0, dose));
  const along = (one: Concentrate, otherH: number, otherA: number) => {
    const length = one.hardnessPerG ** 2 + one.alkalinityPerG ** 2;
    const dot =
      one.hardnessPerG * (wanted.hardnessMgPerL - otherH) +
      one.alkalinityPerG * (wanted.alkalinityMgPerL - otherA);
    return length === 0 ? 0 : dot / length;
  };
  const edges: [number, number][] = [
    ...[0, most[0]].map((dose): [number, number] => [
      dose,
      within(along(b, dose * a.hardnessPerG, dose * a.alkalinityPerG), most[1]),
    ]),
    ...[0, most[1]].map((dose): [number, number] => [
      within(along(a, dose * b.hardnessPerG, dose * b.alkalinityPerG), most[0]),
      dose,
    ]),
  ];
  const determinant = a.hardnessPerG * b.alkalinityPerG - b.hardnessPerG * a.alkalinityPerG;
  if (Math.abs(determinant) < 1e-9) return edges;
  const first =
    (wanted.hardnessMgPerL * b.alkalinityPerG - wanted.alkalinityMgPerL * b.hardnessPerG) / determinant;
  const second =
    (wanted.alkalinityMgPerL * a.hardnessPerG - wanted.hardnessMgPerL * a.alkalinityPerG) / determinant;
  const isFree = first >= 0 && first <= most[0] && second >= 0 && second <= most[1];
  return isFree ? [[first, second]] : edges;
}
