import { calibrateLot, lotPrior, valueOf, type LotPrior } from '@vendu/core';
import { page } from './strategies.js';
import type { Arm } from './study.js';

/** What every lot of a truth is believed to have in common with the model: how much strength follows the grind. */
function withSteepnessKnown(prior: LotPrior): LotPrior {
  const steepness = prior.lnMean.length - 1;
  return {
    ...prior,
    lnCovariance: prior.lnCovariance.map((row, at) =>
      row.map((value, column) => {
        if (at !== steepness && column !== steepness) return value;
        return at === column ? 1e-6 : 0;
      }),
    ),
  };
}

/** The lot page with one part of it taken away: what each is worth. */
export const ABLATIONS: readonly Arm[] = [
  {
    name: '… without errors shared by likeness',
    strategy: page({
      learning: (brews, prior) => ({ ...valueOf(calibrateLot({ brews, prior })), brews: [], misses: [] }),
    }),
  },
  {
    name: '… with the slope of the grind taken as known',
    strategy: page({
      learning: (brews, prior) => valueOf(calibrateLot({ brews, prior: withSteepnessKnown(prior) })),
    }),
  },
  {
    name: '… without what sack and roaster say',
    strategy: page({ learning: (brews) => valueOf(calibrateLot({ brews, prior: lotPrior({}) })) }),
  },
  {
    name: '… by strength alone, nothing timed or weighed',
    strategy: page({
      learning: (brews, prior) =>
        valueOf(
          calibrateLot({
            brews: brews.map((brew) => ({ ...brew, drawdownS: null, beverageG: null })),
            prior,
          }),
        ),
    }),
  },
  {
    name: '… by its last brew alone',
    strategy: page({
      learning: (brews, prior) => valueOf(calibrateLot({ brews: brews.slice(-1), prior })),
    }),
  },
];
