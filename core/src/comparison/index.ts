// The public names of comparisons, by hand like those of the whole core.
export { answerWords, chanceWords, type BlindSaid } from './answerWords.js';
export { armDifferences, type ArmDifference } from './armDifferences.js';
export {
  armFigure,
  COMPARED_FIGURES,
  figureApart,
  smallestFound,
  type ArmFigure,
  type ComparedFigure,
  type FigureApart,
} from './armFigures.js';
export { armLetter, ARMS, type ComparedArm, type ComparedBrew } from './arms.js';
export { axesWords, AXIS_WORDS } from './axisWords.js';
export {
  BLIND_SCORES,
  blindAnswerFault,
  openAnswer,
  type BlindAnswer,
  type OpenedAnswer,
} from './blindAnswer.js';
export {
  blindResult,
  foundByLooks,
  type ArmPair,
  type BlindFigures,
  type StageResult,
} from './blindResult.js';
export { brewingOrder, comparisonCost, ROUNDS, type BrewingTurn } from './brewingOrder.js';
export { checkDesign, type ComparisonDesign, type DesignFault } from './checkDesign.js';
export { housePositions, positionWords, type HousePosition } from './housePositions.js';
export { BLIND_ARMS, BLIND_TASTERS, serveBlind, type BlindCup, type BlindSet } from './serveBlind.js';
export { matchedGrind } from './matchedGrind.js';
export { alignedPlan } from './alignedPlan.js';
export { planVariants, type PlanVariant } from './planVariants.js';
