import { meterShift, suspectedWith, type LotShift } from './sharedShifts.js';
import type { WatchChart } from './watchChart.js';
import type { WatchedBrew } from './watchedBrew.js';

/** What most likely drifted, and the one brew that tells it from the rest. */
export type LikelyCause =
  | { kind: 'grinder'; grinder: string; lots: number }
  | { kind: 'meter'; lots: number }
  | { kind: 'batch'; roastedOn: string; before: string }
  | { kind: 'age'; ageDays: number; provenToDays: number }
  | { kind: 'water'; from: string; to: string }
  | { kind: 'hand'; by: string }
  | { kind: 'unknown' };

/** A roast so much older than what was proven is another coffee, days (assumed). */
const AGED_DAYS = 7;

/**
 * What is behind a cup that went off, from what changed together with it: a shift that other lots of the grinder share is
 * the grinder's and not the coffee's, one that lots on every grinder share is the meter's; a batch, water or hand that was there for none of the proof is suspected before
 * age, which changes slowly.
 *
 * @param chart - of strength, in which the alarm is
 */
export function likelyCause({
  chart,
  brew,
  proof,
  others,
}: {
  chart: WatchChart;
  brew: WatchedBrew;
  proof: readonly WatchedBrew[];
  others: readonly LotShift[];
}): LikelyCause {
  const point = chart.points.find(({ brewId }) => brewId === brew.id);
  const side = Math.sign((point?.value ?? chart.centre) - chart.centre);
  const meter = meterShift(others);
  if (meter && Math.sign(meter.byStrengthSd) === side) return { kind: 'meter', lots: meter.lots };
  const lots = suspectedWith(others, { grinder: brew.grinder, side });
  if (lots !== null) return { kind: 'grinder', grinder: brew.grinder, lots };
  const before = proof.at(-1);
  if (!before) return { kind: 'unknown' };
  const { water } = brew;
  if (water !== null && before.water !== null && proof.every((each) => each.water !== water)) {
    return { kind: 'water', from: before.water, to: water };
  }
  if (proof.every(({ roastBatchId }) => roastBatchId !== brew.roastBatchId)) {
    return { kind: 'batch', roastedOn: brew.roastedOn, before: before.roastedOn };
  }
  const provenToDays = Math.max(...proof.map(({ roastAgeDays }) => roastAgeDays));
  if (brew.roastAgeDays - provenToDays >= AGED_DAYS) {
    return { kind: 'age', ageDays: brew.roastAgeDays, provenToDays };
  }
  return proof.every(({ by }) => by !== brew.by) ? { kind: 'hand', by: brew.by } : { kind: 'unknown' };
}
