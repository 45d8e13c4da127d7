import { BREW_MODEL } from './constants.js';
import type { BrewModelInput } from './types.js';

/** A grind as the model sees it: how much surface, and how deep the solubles lie. */
export interface Particles {
  finesShare: number;
  /** Diameter of the same surface per volume, m. */
  d32M: number;
  /** Per class: share in the fast pool and in four diffusing pools (two sizes, two modes each). Sums to 1. */
  poolShares: readonly (readonly number[])[];
  /** Rate of each diffusing pool at 90 C, 1/s. */
  poolRatesPerS: readonly number[];
}

const DEFAULT_SPREAD = 1.5;
/** Share of the first mode of a diffusing sphere; the second has a quarter of it, the rest is as good as instant. */
const FIRST_MODE = 6 / Math.PI ** 2;

/**
 * Sizes, surface and release pools of a grind. The grains are two sizes of equal volume about the median;
 * the shell that grinding opened is washed out at once, the core diffuses.
 *
 * Sources: log-normal sizes with a fines mode (common description); diffusing sphere as the series
 * 6/pi^2 sum exp(-n^2 pi^2 D t / R^2) / n^2 (Crank, The Mathematics of Diffusion, from memory), two modes kept.
 */
export function particlesOf({
  d50Um,
  sigmaG = DEFAULT_SPREAD,
  finesShare,
}: BrewModelInput['grind']): Particles {
  const model = BREW_MODEL;
  const fines =
    finesShare ??
    Math.min(
      model.finesShareMax,
      model.finesShareAtReference * Math.pow(model.finesReferenceUm / d50Um, model.finesExponent),
    );
  const d50M = d50Um * 1e-6;
  const inverseD32 = fines / model.finesM + ((1 - fines) * Math.exp(Math.log(sigmaG) ** 2 / 2)) / d50M;
  const sizesM = [d50M / sigmaG, d50M * sigmaG];
  return {
    finesShare: fines,
    d32M: 1 / inverseD32,
    poolShares: model.shellFactors.map((factor) =>
      poolShares({ sizesM, fines, shellM: model.cellM * factor }),
    ),
    poolRatesPerS: sizesM.flatMap((sizeM) => {
      const first = (Math.PI ** 2 * model.diffusionM2PerS) / (sizeM / 2) ** 2;
      return [first, 4 * first];
    }),
  };
}

function poolShares({
  sizesM,
  fines,
  shellM,
}: {
  sizesM: readonly number[];
  fines: number;
  shellM: number;
}): number[] {
  const perSize = (1 - fines) / sizesM.length;
  const cores = sizesM.map((sizeM) => perSize * Math.max(0, 1 - (2 * shellM) / sizeM) ** 3);
  const slow = cores.flatMap((core) => [core * FIRST_MODE, (core * FIRST_MODE) / 4]);
  return [1 - slow.reduce((sum, share) => sum + share, 0), ...slow];
}
