import type { LotCalibration } from '../calibration/calibrateLot.js';
import type { LearnedFactors } from '../calibration/conditions.js';

/** What can be done in the next brew that says most of what is still open. */
const LESSONS = ['read', 'time-the-drain', 'another-grind', 'weigh'] as const;
export type Lesson = (typeof LESSONS)[number];

/** Which factor each of them measures. Solubility and rate are read together: no brew tells one from the other. */
const TAUGHT_BY: Record<Lesson, keyof LearnedFactors> = {
  read: 'solubility',
  'time-the-drain': 'flow',
  'another-grind': 'steepness',
  weigh: 'retained',
};
/** A factor of whose prior spread more than this is left was hardly measured yet (assumed). */
const HARDLY_MEASURED = 0.75;

/** What the next brew would teach most: the factor of whose spread most is left. `null` where each was measured. */
export function lessonOf({ spreadLeft }: Pick<LotCalibration, 'spreadLeft'>): Lesson | null {
  let most: Lesson | null = null;
  for (const lesson of LESSONS) {
    const left = spreadLeft[TAUGHT_BY[lesson]];
    if (left > HARDLY_MEASURED && (most === null || left > spreadLeft[TAUGHT_BY[most]])) most = lesson;
  }
  return most;
}
