import { ABLATIONS } from './ablation.js';
import { SPLIT_FIRST } from './splitFirst.js';
import { ARMS, type Arm } from './study.js';

/** Every arm there is, by the number under which a worker knows it. */
export const ALL_ARMS: readonly Arm[] = [...ARMS, ...ABLATIONS, SPLIT_FIRST];
