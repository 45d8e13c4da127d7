import { BREW_MODEL, type BrewConstants } from '../brewModel/constants.js';
import { BREWER_CLASSES } from '../brewModel/hardware.js';
import type { BrewModelInput } from '../brewModel/types.js';
import { GOLDEN_BREW } from './brews.js';

/** The constants of the second program, which knows no force of a stream, no misses, no gas in cores and one retention. */
export const GOLDEN_MODEL: BrewConstants = {
  ...BREW_MODEL,
  cellM: 40.7e-6,
  diffusionM2PerS: 3.411e-11,
  fastRatePerS: 0.3163,
  finesExponent: 0.9867,
  permeabilityFactor: 0.2584,
  finesMigration: 0.017_75,
  finesAgitationGain: 1.711,
  voidsExtraDry: 0.099_05,
  swellingTimeS: 44.7,
  exchangePerS: 0.0708,
  clumpedAtStart: 0.06,
  clumpBreaking: 0.005,
  clumpsLeftBy: { swirl: 0.5, stir: 0.4, needle: 0.3 },
  wettingGasFactor: 8,
  bubbleS: 3,
  unevenBy: { centre: 0, circle: 0, spiral: 0 },
  streamPower: 0,
  reach: { ...BREW_MODEL.reach, factor: 1e12 },
  coreGasShare: 0,
  gasLifts: 0,
  retentionPower: 0,
  voidsPerSpread: 0,
};

/** The golden brew in the brewer and paper of that program. */
export const GOLDEN_CONE: BrewModelInput = {
  ...GOLDEN_BREW,
  brewer: { ...BREWER_CLASSES.cone, drainShare: 0.526 },
  paperPerM: 1.776e8,
};

/** Its sister on a flat bottom. */
export const GOLDEN_FLAT: BrewModelInput = {
  ...GOLDEN_BREW,
  doseG: 16,
  grind: { d50Um: 650 },
  kettleC: 94,
  pours: [
    { startS: 0, amountG: 60, flowGps: 5 },
    { startS: 30, amountG: 90, flowGps: 5 },
    { startS: 65, amountG: 90, flowGps: 5 },
  ],
  agitation: [],
  brewer: { ...BREWER_CLASSES['flat-bottom'], drainShare: 0.2705, bottomShare: 1 },
  paperPerM: 1.203e8,
};
