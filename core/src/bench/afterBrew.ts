import { outOfRange, type OutOfRange } from '../input/ranges.js';
import { success, type Result } from '../result.js';

/** What comes due after a brew, on its own clock from the end of the drain. */
export type AfterBrewTask = 'taste-warm' | 'read' | 'taste-cool';

export interface AfterBrewClock {
  task: AfterBrewTask;
  /** After the end of the drain, s. */
  dueS: number;
}

/** Cooling of a cup and of a few drops drawn off for the prism, 1/s (assumed: half-lives of 22 min and 2.5 min). */
const CUP_PER_S = Math.LN2 / 1320;
const SAMPLE_PER_S = Math.LN2 / 150;
/** A sample may be this much warmer than the room when it is read, C (assumed). */
const READ_WITHIN_C = 3;
/** Warm and cool on the tongue, C (common practice). */
const WARM_C = 50;
const COOL_C = 32;
/** Beverage as it comes off the brewer, C (assumed; the model tells it better). */
const USUAL_BEVERAGE_C = 80;

/**
 * When sample and tastings come due, by Newton's law of cooling to the room.
 *
 * @param roomC - 5 to 45 °C
 * @param beverageC - as it stands in the server, 40 to 100 °C
 */
export function afterBrew({
  roomC,
  beverageC = USUAL_BEVERAGE_C,
}: {
  roomC: number;
  beverageC?: number;
}): Result<AfterBrewClock[], OutOfRange> {
  const fault =
    outOfRange('roomC', roomC, { low: 5, high: 45, unit: '°C' }) ??
    outOfRange('beverageC', beverageC, { low: 40, high: 100, unit: '°C' });
  if (fault) return fault;
  const untilS = (toC: number, perS: number) =>
    Math.round(Math.max(0, Math.log((beverageC - roomC) / Math.max(1, toC - roomC)) / perS));
  const clocks: AfterBrewClock[] = [
    { task: 'read', dueS: untilS(roomC + READ_WITHIN_C, SAMPLE_PER_S) },
    { task: 'taste-warm', dueS: untilS(WARM_C, CUP_PER_S) },
    { task: 'taste-cool', dueS: untilS(COOL_C, CUP_PER_S) },
  ];
  return success(clocks.sort((a, b) => a.dueS - b.dueS));
}
