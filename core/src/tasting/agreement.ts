import { median } from 'simple-statistics';
import { INTENSITIES, TASTING_STAGES, type Intensity, type TastingStage } from '../vocabulary.js';
import type { SheetOf } from './sheet.js';

/** Scores of one attribute by all who gave one at a stage. */
export interface AttributeAgreement {
  attribute: Intensity;
  low: number;
  high: number;
  median: number;
  /** Farther apart than people who taste the same usually are. */
  isApart: boolean;
}

export interface StageAgreement {
  stage: TastingStage;
  tasters: string[];
  attributes: AttributeAgreement[];
}

/** Two tasters of one cup are usually within so many points of each other on a scale of ten (assumed). */
const USUALLY_WITHIN = 2;

/** How far those who tasted the same cup agree; stages that only one tasted are left out. */
export function agreementOf(sheets: readonly SheetOf[]): StageAgreement[] {
  return TASTING_STAGES.flatMap((stage) => {
    const here = sheets.filter((sheet) => sheet.stage === stage);
    if (here.length < 2) return [];
    const attributes = INTENSITIES.flatMap((attribute): AttributeAgreement[] => {
      const scores = here.flatMap(({ intensities }) => intensities[attribute] ?? []);
      if (scores.length < 2) return [];
      const [low, high] = [Math.min(...scores), Math.max(...scores)];
      return [{ attribute, low, high, median: median(scores), isApart: high - low > USUALLY_WITHIN }];
    });
    return [{ stage, tasters: here.map(({ by }) => by), attributes }];
  });
}
