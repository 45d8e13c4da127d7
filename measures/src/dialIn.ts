/** What a measure needs that dials lots in through the application itself: lots with a truth, and the same by core alone. */
export { labOutcomes, ARMS, MOST_BREWS } from './brewsToTarget/study.js';
export { AIMS, handOf, isInside, LOTS_A_LAB, taskOf, trueCup, type Task } from './brewsToTarget/task.js';
export { measuredByHand, type ByHand } from './truths/hand.js';
export type { TruthName } from './truths/truth.js';
