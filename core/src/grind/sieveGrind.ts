import { BREW_MODEL } from '../brewModel/constants.js';
import type { Grind } from '../brewModel/types.js';
import { firstOutOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { failure, success, type Failure, type Result } from '../result.js';
import { classesOf, describe, GRIND_RANGES, sizeBelow, type GrindDistribution } from './grindDistribution.js';

export interface SievedGrind {
  /** What stays on the sieve and is brewed, and what fell through, g. */
  leftG: number;
  removedG: number;
  left: GrindDistribution;
  /** The same as the brew model takes it: main grains, their spread, and the fines still there. */
  grind: Required<Grind>;
  /** Dose to grind so that the wanted mass is left, per gram wanted. */
  grindPerG: number;
}

const RANGES = {
  doseG: { low: 0.5, high: 500, unit: 'g' },
  apertureUm: { low: 30, high: 2000, unit: 'µm' },
  passing: { low: 0, high: 1, unit: '' },
} satisfies Record<string, Range>;
/** Sizes up to here count as fines when what is left is described to the model, um. */
const FINES_UP_TO_UM = 100;
/** Below this little is left to brew. */
const SMALLEST_LEFT = 0.1;

/**
 * What a sieve leaves of a grind. Grains smaller than its holes fall through as far as shaking lets them: some
 * fines always cling to larger grains.
 *
 * @param passing - share of the smaller grains that do fall through; 0.8 unless known (assumed)
 */
export function sieveGrind({
  grind,
  doseG,
  apertureUm,
  passing = 0.8,
}: {
  grind: Grind;
  doseG: number;
  apertureUm: number;
  passing?: number;
}): Result<SievedGrind, OutOfRange | Failure<'nothing-left'>> {
  const fault =
    firstOutOfRange(grind, GRIND_RANGES) ?? firstOutOfRange({ doseG, apertureUm, passing }, RANGES);
  if (fault) return fault;
  const left = classesOf(grind).map(({ sizeUm, share }) => ({
    sizeUm,
    share: sizeUm < apertureUm ? share * (1 - passing) : share,
  }));
  const leftShare = left.reduce((sum, { share }) => sum + share, 0);
  if (leftShare < SMALLEST_LEFT) {
    return failure('nothing-left', `Holes of ${apertureUm} µm let nearly all of this grind through.`);
  }
  const shares = left.map(({ sizeUm, share }) => ({ sizeUm, share: share / leftShare }));
  const distribution = describe(shares);
  const main = shares.filter(({ sizeUm }) => sizeUm > FINES_UP_TO_UM);
  const [lowUm, midUm, highUm] = [0.159, 0.5, 0.841].map((share) => sizeBelow(main, share));
  return success({
    leftG: doseG * leftShare,
    removedG: doseG * (1 - leftShare),
    left: distribution,
    grind: {
      d50Um: midUm ?? 0,
      // Half of the span between one spread below and one above.
      sigmaG: Math.max(1.05, Math.sqrt((highUm ?? 1) / (lowUm ?? 1))),
      finesShare: Math.min(BREW_MODEL.finesShareMax, distribution.below100Share),
    },
    grindPerG: 1 / leftShare,
  });
}
