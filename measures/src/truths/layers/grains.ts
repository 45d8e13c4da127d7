import type { Physics } from './physics.js';

/** A grind as three sizes of core about its median, and what grinding opened. */
export interface Grains {
  finesShare: number;
  /** Diameter of the same surface per volume, m. */
  surfaceM: number;
  openedShare: number;
  cores: { sizeM: number; share: number }[];
}

const SPREAD = Math.log(1.45);
const FINES_M = 45e-6;
/** Three points that stand for a normal distribution exactly up to the fifth power (Gauss and Hermite). */
const POINTS = [
  { at: -Math.sqrt(3), weight: 1 / 6 },
  { at: 0, weight: 2 / 3 },
  { at: Math.sqrt(3), weight: 1 / 6 },
];

export function grainsOf(medianM: number, physics: Physics): Grains {
  const finesShare = Math.min(0.45, physics.finesAt700 * (700e-6 / medianM) ** physics.finesPower);
  const sizes = POINTS.map(({ at, weight }) => ({
    sizeM: medianM * Math.exp(at * SPREAD),
    share: weight * (1 - finesShare),
  }));
  const cores = sizes.map(({ sizeM, share }) => ({
    sizeM,
    share: share * Math.max(0, 1 - (2 * physics.openedM) / sizeM) ** 3,
  }));
  return {
    finesShare,
    surfaceM: 1 / (finesShare / FINES_M + sizes.reduce((sum, { sizeM, share }) => sum + share / sizeM, 0)),
    openedShare: 1 - cores.reduce((sum, { share }) => sum + share, 0),
    cores,
  };
}
