import type { BrewConstants } from './constants.js';
import type { Flows } from './flows.js';
import type { Inflow } from './inflow.js';

/** Water as it reaches the bed at one moment. */
export interface Stream {
  inflowKgPerS: number;
  inflowC: number;
  /** Agitation that it adds to a bed with no water above it, 1/s. */
  stirPerS: number;
  /** Depth of water through which it stirs a third as much, m. */
  reachM: number;
}

export const NO_STREAM: Stream = { inflowKgPerS: 0, inflowC: 0, stirPerS: 0, reachM: 1 };

/**
 * The force of one stream: it grows with the height of its fall (as its energy does) and a little faster than its
 * flow (ass.), and reaches the deeper the faster and wider it is (Bin 1993, mem.).
 */
export function streamOf(
  { kgPerS, fallM }: Pick<Inflow, 'kgPerS' | 'fallM'>,
  inflowC: number,
  model: BrewConstants,
): Stream {
  if (kgPerS <= 0) return { ...NO_STREAM, inflowC };
  const gps = kgPerS * 1000;
  const heavier = Math.pow(gps / model.streamReferenceGps, model.streamPower);
  const speedMPerS = Math.sqrt(2 * model.gravityMPerS2 * fallM);
  const widthM = Math.sqrt((4 * kgPerS) / 1000 / (Math.PI * speedMPerS));
  const { factor, speedPower, widthPower } = model.reach;
  return {
    inflowKgPerS: kgPerS,
    inflowC,
    stirPerS: (model.agitationPerGps * gps * heavier * (fallM / model.fallM)) / model.agitationDecayS,
    reachM: factor * Math.pow(speedMPerS, speedPower) * Math.pow(widthM, widthPower),
  };
}

/** Streams at one moment as one: they add up and mix. */
export function together(streams: readonly Stream[]): Stream {
  const [first, ...more] = streams;
  if (!first) return NO_STREAM;
  return more.reduce((all, each) => {
    const inflowKgPerS = all.inflowKgPerS + each.inflowKgPerS;
    return {
      inflowKgPerS,
      inflowC: (all.inflowC * all.inflowKgPerS + each.inflowC * each.inflowKgPerS) / inflowKgPerS,
      stirPerS: all.stirPerS + each.stirPerS,
      reachM: Math.max(all.reachM, each.reachM),
    };
  }, first);
}

/** What is left of the stirring under the water above the bed, 1/s. */
export function stirredPerS({ stirPerS, reachM }: Stream, { levelM, bedM }: Flows): number {
  return stirPerS === 0 ? 0 : stirPerS * Math.exp((bedM - levelM) / reachM);
}
