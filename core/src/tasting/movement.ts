import { median } from 'simple-statistics';
import { INTENSITIES, TASTING_STAGES, type Intensity, type TastingStage } from '../vocabulary.js';
import type { SheetOf } from './sheet.js';

/** Where a cup stood at a stage: the middle of those who scored it. */
export interface Stop {
  stage: TastingStage;
  value: number;
}

/** How one attribute moved while the cup cooled; a stage that nobody scored is no stop. */
export interface AttributeMovement {
  attribute: Intensity;
  intensities: Stop[];
  likings: Stop[];
}

/** What happened in a cup from hot to cool, over all who tasted it. */
export function movementOf(sheets: readonly SheetOf[]): AttributeMovement[] {
  const stops = (scoreOf: (sheet: SheetOf) => number | null): Stop[] =>
    TASTING_STAGES.flatMap((stage) => {
      const scores = sheets.flatMap((sheet) => (sheet.stage === stage ? (scoreOf(sheet) ?? []) : []));
      return scores.length === 0 ? [] : [{ stage, value: median(scores) }];
    });
  return INTENSITIES.map((attribute) => ({
    attribute,
    intensities: stops((sheet) => sheet.intensities[attribute]),
    likings: stops((sheet) => sheet.likings[attribute]),
  }));
}
