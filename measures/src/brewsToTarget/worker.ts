import type { TruthName } from '../truths/truth.js';
import { ALL_ARMS } from './arms.js';
import { labOutcomes, type LotOutcome } from './study.js';
import { AIMS, type AimName } from './task.js';

/** One lab by one arm against one truth: what the pool hands out. */
export interface LabTask {
  armIndex: number;
  labIndex: number;
  truth: TruthName;
  aim: AimName;
}

export default function dialInLab({ armIndex, labIndex, truth, aim }: LabTask): LotOutcome[] {
  const arm = ALL_ARMS[armIndex];
  if (!arm) throw new RangeError(`no arm ${armIndex}`);
  return labOutcomes(arm, truth, labIndex, AIMS[aim]);
}
