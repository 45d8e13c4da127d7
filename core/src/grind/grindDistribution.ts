import jStat from 'jstat';
import { DEFAULT_SPREAD, finesShareOf } from '../brewModel/particles.js';
import { BREW_MODEL } from '../brewModel/constants.js';
import type { Grind } from '../brewModel/types.js';
import { firstOutOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { success, type Result } from '../result.js';

/** Spread of the fines about their size (assumed). */
const FINES_SPREAD = 1.5;

export const GRIND_RANGES = {
  d50Um: { low: 50, high: 5000, unit: 'µm' },
  sigmaG: { low: 1.05, high: 3, unit: '' },
  finesShare: { low: 0, high: 0.9, unit: '' },
} satisfies Record<keyof Grind, Range>;

/** Grains of one size range, by volume. */
export interface SizeClass {
  sizeUm: number;
  share: number;
}

/** Log-spaced sizes from 5 um to 5 mm, fine enough that a median is right to 1 %. */
const SIZES_UM = Array.from({ length: 300 }, (_, index) => 5 * Math.pow(1000, index / 299));

export interface GrindDistribution {
  /** Shares by volume over log-spaced sizes, adding up to 1. */
  classes: SizeClass[];
  /** Sizes below which a tenth, half and nine tenths of the volume lie, um; fines included. */
  d10Um: number;
  d50Um: number;
  d90Um: number;
  /** Share of volume below 100 um, the usual line of fines. */
  below100Share: number;
}

/**
 * Sizes of a grind by volume: the main grains log-normal about the median, the fines log-normal about 40 um.
 * The median of the grind as a whole lies a little below that of its main grains.
 */
export function grindDistribution(grind: Grind): Result<GrindDistribution, OutOfRange> {
  const fault = firstOutOfRange(grind, GRIND_RANGES);
  return fault ?? success(describe(classesOf(grind)));
}

/** Two grinds mixed by mass. */
export function blendGrinds({
  first,
  second,
  firstShare,
}: {
  first: Grind;
  second: Grind;
  firstShare: number;
}): Result<GrindDistribution, OutOfRange> {
  const fault =
    firstOutOfRange(first, GRIND_RANGES) ??
    firstOutOfRange(second, GRIND_RANGES) ??
    firstOutOfRange({ firstShare }, { firstShare: { low: 0, high: 1, unit: '' } });
  if (fault) return fault;
  const [a, b] = [classesOf(first), classesOf(second)];
  return success(
    describe(
      a.map(({ sizeUm, share }, index) => ({
        sizeUm,
        share: firstShare * share + (1 - firstShare) * (b[index]?.share ?? 0),
      })),
    ),
  );
}

export function classesOf({
  d50Um,
  sigmaG = DEFAULT_SPREAD,
  finesShare = finesShareOf(d50Um),
}: Grind): SizeClass[] {
  const finesUm = BREW_MODEL.finesM * 1e6;
  const below = (sizeUm: number) =>
    finesShare * cumulative(sizeUm, finesUm, FINES_SPREAD) +
    (1 - finesShare) * cumulative(sizeUm, d50Um, sigmaG);
  let before = 0;
  return SIZES_UM.map((sizeUm, index) => {
    const isLast = index === SIZES_UM.length - 1;
    const upTo = isLast ? 1 : below(sizeUm);
    const share = upTo - before;
    before = upTo;
    return { sizeUm, share };
  });
}

function cumulative(sizeUm: number, medianUm: number, spread: number): number {
  return jStat.normal.cdf(Math.log(sizeUm / medianUm) / Math.log(spread), 0, 1);
}

export function describe(classes: SizeClass[]): GrindDistribution {
  return {
    classes,
    d10Um: sizeBelow(classes, 0.1),
    d50Um: sizeBelow(classes, 0.5),
    d90Um: sizeBelow(classes, 0.9),
    below100Share: classes.reduce((sum, { sizeUm, share }) => (sizeUm <= 100 ? sum + share : sum), 0),
  };
}

/** Size below which a share of the volume lies, by straight lines between the classes. */
export function sizeBelow(classes: readonly SizeClass[], wanted: number): number {
  const total = classes.reduce((sum, { share }) => sum + share, 0);
  let sum = 0;
  for (const [index, { sizeUm, share }] of classes.entries()) {
    if (sum + share >= wanted * total && share > 0) {
      const fromUm = classes[index - 1]?.sizeUm ?? sizeUm;
      return fromUm + ((wanted * total - sum) / share) * (sizeUm - fromUm);
    }
    sum += share;
  }
  return classes.at(-1)?.sizeUm ?? 0;
}
