import { ARMS, labOutcomes, type LotOutcome } from './study.js';
import type { Setting } from './task.js';

/** One lab by one arm in one setting: what the pool hands out. */
export interface LabTask {
  armIndex: number;
  labIndex: number;
  setting: Setting;
}

export default function dialInLab({ armIndex, labIndex, setting }: LabTask): LotOutcome[] {
  const arm = ARMS[armIndex];
  if (!arm) throw new RangeError(`no arm ${armIndex}`);
  return labOutcomes(arm, labIndex, setting);
}
