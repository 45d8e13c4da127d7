import { mean } from 'simple-statistics';
import { houseBatchesWords, type HouseBatches } from './houseBatches.js';
import { figureOf, type WatchedBrew } from './watchedBrew.js';

/** How far new batches have moved a recipe so far: what the next one is to be expected to do. */
export interface BatchShift {
  /** Batches that came after the proof and were brewed. */
  batches: number;
  /** Of strength, against what was proven, percent TDS; below 0 weaker. */
  meanPercent: number;
  /** The furthest, whichever way. */
  mostPercent: number;
  /** Batch by batch, in the order brewed. */
  shiftsPercent: readonly number[];
}

/**
 * From the first brew with each batch that its proof did not have.
 *
 * @param brews - since the version is public, in the order brewed
 * @returns `null` where no such batch was measured, or nothing was proven
 */
export function batchShift({
  proof,
  brews,
}: {
  proof: readonly WatchedBrew[];
  brews: readonly WatchedBrew[];
}): BatchShift | null {
  const proven = proof.flatMap((brew) => figureOf(brew, 'strength') ?? []);
  if (proven.length === 0) return null;
  const known = new Set(proof.map(({ roastBatchId }) => roastBatchId));
  const shifts: number[] = [];
  for (const brew of brews) {
    const strength = figureOf(brew, 'strength');
    if (strength === null || known.has(brew.roastBatchId)) continue;
    known.add(brew.roastBatchId);
    shifts.push(strength - mean(proven));
  }
  if (shifts.length === 0) return null;
  return {
    batches: shifts.length,
    meanPercent: mean(shifts),
    mostPercent: Math.max(...shifts.map(Math.abs)),
    shiftsPercent: shifts,
  };
}

/**
 * What the next batch is to be expected to do, in a sentence.
 *
 * @param house - what new batches of other recipes did
 */
export function batchShiftWords(shift: BatchShift | null, house: HouseBatches | null): string {
  if (shift === null) {
    return house
      ? houseBatchesWords(house)
      : 'No batch came after its proof yet: how far one moves this recipe is not known.';
  }
  const { batches, meanPercent, mostPercent } = shift;
  const way = meanPercent < 0 ? 'weaker' : 'stronger';
  const many = batches === 1 ? 'The batch before it was' : `The ${batches} batches before it were`;
  return `${many} ${Math.abs(meanPercent).toFixed(2)} % ${way}${batches === 1 ? '' : ` on the mean, ${mostPercent.toFixed(2)} % at most`}.`;
}
