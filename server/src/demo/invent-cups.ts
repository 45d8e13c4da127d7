import { normalDraw, roundToTenth } from '@vendu/core';
import type { Haze } from '@vendu/contract';
import type { InventedBrew } from './invent-brew.js';

/** A cup of a split brew as the scenario tells it: until when it stood under the brewer, and what was seen and tasted. */
export interface DemoCup {
  untilS: number;
  colour: string;
  haze: Haze;
  notes: string;
  isWanted: boolean;
}

const INSTRUMENT = { beverageG: 0.3, readingPercent: 0.011 };

/** Mass and strength of each cup as they truly came, with what scale and refractometer scatter. */
export function inventCups(cups: readonly DemoCup[], filled: InventedBrew['cup'], random: () => number) {
  let [startS, beforeG, beforeSolidsG] = [0, 0, 0];
  return cups.map(({ untilS, ...told }, index) => {
    // The last one takes all that still comes.
    const at = index === cups.length - 1 ? undefined : filled.find(({ atS }) => atS >= untilS);
    const { beverageG: totalG, solidsG } = at ??
      filled.at(-1) ?? { beverageG: beforeG, solidsG: beforeSolidsG };
    const [massG, ownSolidsG] = [totalG - beforeG, solidsG - beforeSolidsG];
    const cup = {
      ...told,
      place: index + 1,
      startS,
      endS: untilS,
      beverageG: roundToTenth(normalDraw(random, { mean: massG, sd: INSTRUMENT.beverageG })),
      tdsPercent:
        Math.round(
          100 * normalDraw(random, { mean: (100 * ownSolidsG) / massG, sd: INSTRUMENT.readingPercent }),
        ) / 100,
    };
    [startS, beforeG, beforeSolidsG] = [untilS, totalG, solidsG];
    return cup;
  });
}
