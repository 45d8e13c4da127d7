import { EMPTY_SHEET, NOT_SCORED, type TastingSheet } from '@vendu/core';
import type { TastingView } from '@vendu/contract';
import type { TastingModel } from './tasting.model.js';

/** What a row says of the taste; fields that its day did not have are as nobody said. */
export function sheetOfRow(row: TastingModel): TastingSheet {
  const { notes, intensities, likings, overall, aromas, vessel, faults, isSpat } = row;
  return {
    notes,
    intensities,
    likings: { ...NOT_SCORED, ...likings },
    overall,
    aromas: { ...EMPTY_SHEET.aromas, ...aromas },
    vessel,
    faults,
    isSpat,
  };
}

export function tastingView(row: TastingModel): TastingView {
  return {
    ...sheetOfRow(row),
    stage: row.stage,
    personId: row.tastedBy,
    by: row.taster.name,
    sentAt: row.createdAt.toISOString(),
    isAfterOthers: row.isAfterOthers,
    isAltered: row.firstSheet !== null,
  };
}
