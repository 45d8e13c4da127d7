import { BREW_MODEL, type BrewConstants } from './constants.js';
import type { Grind, GrindBlend } from './types.js';

/** A grind as the model sees it: how much surface, and how deep the solubles lie. */
export interface Particles {
  finesShare: number;
  /** Diameter of the same surface per volume, m. */
  d32M: number;
  /** Spread of the sizes without the fines: standard deviation of their logarithm. */
  spreadLn: number;
  /** Per class: share in the fast pool and in four diffusing pools (two sizes, two modes each). Sums to 1. */
  poolShares: readonly (readonly number[])[];
  /** Rate of each diffusing pool at 90 C, 1/s. */
  poolRatesPerS: readonly number[];
}

export const DEFAULT_SPREAD = 1.5;
/** Share of the first mode of a diffusing sphere; the second has a quarter of it, the rest is as good as instant. */
const FIRST_MODE = 6 / Math.PI ** 2;

/** Share of fines of a median size, by volume, where it was not measured (cal.; the reference size ass.). */
export function finesShareOf(d50Um: number, model: BrewConstants = BREW_MODEL): number {
  return Math.min(
    model.finesShareMax,
    model.finesShareAtReference * Math.pow(model.finesReferenceUm / d50Um, model.finesExponent),
  );
}

/** Grains of one size and their share of all volume, fines included. */
interface Size {
  sizeM: number;
  volume: number;
}

/**
 * Sizes, surface and release pools of a grind or a blend. Each grind is fines and two sizes of equal volume
 * about its median; the sizes of a blend are cut into a finer and a coarser half. The shell that grinding
 * opened is washed out at once, the core diffuses.
 *
 * Sources: log-normal sizes with a fines mode (common description); diffusing sphere as the series
 * 6/pi^2 sum exp(-n^2 pi^2 D t / R^2) / n^2 (Crank, The Mathematics of Diffusion, from memory), two modes kept.
 */
export function particlesOf(grind: Grind | GrindBlend, model: BrewConstants = BREW_MODEL): Particles {
  const blend: GrindBlend = 'parts' in grind ? grind : { parts: [{ grind, share: 1 }] };
  const kept = 1 - (blend.finesSieved ?? 0);
  let fines = 0;
  let coarse = 0;
  let coarsePerM = 0;
  const sizes: Size[] = [];
  for (const { grind: part, share } of blend.parts) {
    const { d50Um, sigmaG = DEFAULT_SPREAD, finesShare = finesShareOf(d50Um, model) } = part;
    const d50M = d50Um * 1e-6;
    const rest = share * (1 - finesShare);
    fines += share * finesShare * kept;
    coarse += rest;
    coarsePerM += (rest * Math.exp(Math.log(sigmaG) ** 2 / 2)) / d50M;
    sizes.push({ sizeM: d50M / sigmaG, volume: rest / 2 }, { sizeM: d50M * sigmaG, volume: rest / 2 });
  }
  const total = fines + coarse;
  const halves = finerAndCoarserHalf(sizes, coarse).map((half) =>
    half.map(({ sizeM, volume }) => ({ sizeM, volume: volume / total })),
  );
  return {
    finesShare: fines / total,
    d32M: total / (fines / model.finesM + coarsePerM),
    spreadLn: spreadOf(sizes),
    poolShares: model.shellFactors.map((factor) => poolShares(halves, model.cellM * factor)),
    poolRatesPerS: halves.flatMap((half) => {
      const first = 4 * Math.PI ** 2 * model.diffusionM2PerS * meanInverseSquare(half, model.cellM);
      return [first, 4 * first];
    }),
  };
}

function spreadOf(sizes: readonly Size[]): number {
  const volume = sizes.reduce((sum, size) => sum + size.volume, 0);
  const mean = (of: (ln: number) => number) =>
    sizes.reduce((sum, size) => sum + size.volume * of(Math.log(size.sizeM)), 0) / volume;
  const middle = mean((ln) => ln);
  return Math.sqrt(mean((ln) => (ln - middle) ** 2));
}

/** Sizes sorted and cut at half their volume; the size at the cut is in both. */
function finerAndCoarserHalf(sizes: readonly Size[], volume: number): [Size[], Size[]] {
  const finer: Size[] = [];
  const coarser: Size[] = [];
  let room = volume / 2;
  for (const size of [...sizes].sort((a, b) => a.sizeM - b.sizeM)) {
    const below = Math.min(room, size.volume);
    room -= below;
    if (below > 0) finer.push({ ...size, volume: below });
    // What rounding leaves of a size is no size.
    if (size.volume - below > 1e-12 * volume) coarser.push({ ...size, volume: size.volume - below });
  }
  return [finer, coarser];
}

/** Share of a grain that lies deeper than the opened shell. */
function coreShare(sizeM: number, shellM: number): number {
  return Math.max(0, 1 - (2 * shellM) / sizeM) ** 3;
}

function meanInverseSquare(half: readonly Size[], shellM: number): number {
  let weight = 0;
  let weighted = 0;
  for (const { sizeM, volume } of half) {
    // A grind all shell has no core to weigh by.
    const core = volume * Math.max(coreShare(sizeM, shellM), 1e-9);
    weight += core;
    weighted += core / sizeM ** 2;
  }
  return weighted / weight;
}

function poolShares(halves: readonly (readonly Size[])[], shellM: number): number[] {
  const slow = halves.flatMap((half) => {
    const core = half.reduce((sum, { sizeM, volume }) => sum + volume * coreShare(sizeM, shellM), 0);
    return [core * FIRST_MODE, (core * FIRST_MODE) / 4];
  });
  return [1 - slow.reduce((sum, share) => sum + share, 0), ...slow];
}
