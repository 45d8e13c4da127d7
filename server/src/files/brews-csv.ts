import { addedWaterG, markedDrainS, planRatio, weighedFinesG } from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';
import type { BrewModel } from '../brews/brew.model.js';
import { rounded, tableText, type TableColumns } from './table-text.js';

/** A brew as a line of a table: what its list knows, what only its row does, and on which brewer. */
export interface BrewLine {
  brew: BrewListItem;
  row: Pick<BrewModel, 'tailG' | 'tailTdsPercent' | 'tailNote' | 'note' | 'verdictReason'>;
  brewer: string;
}

/** One column, one reading of a brew; where nothing was measured the cell is empty. */
const COLUMNS: TableColumns<BrewLine> = {
  brew: ({ brew }) => brew.number,
  started_at: ({ brew }) => brew.startedAt,
  brewed_by: ({ brew }) => brew.brewedBy,
  brewer: ({ brewer }) => brewer,
  recipe_version: ({ brew }) => brew.versionNumber,
  roast_age_days: ({ brew }) => brew.roastAgeDays,
  dose_g: ({ brew }) => brew.doseG,
  water_g: ({ brew }) => brew.waterG,
  water_added_g: ({ brew }) => addedWaterG(brew),
  planned_ratio: ({ brew }) => rounded(planRatio(brew.plan), 2),
  kettle_c: ({ brew }) => brew.plan.kettleC,
  grind_um: ({ brew }) => brew.plan.grindUm,
  second_grind_um: ({ brew }) => brew.plan.secondGrind?.grindUm ?? null,
  second_grind_percent: ({ brew }) => brew.plan.secondGrind?.sharePercent ?? null,
  sieve_um: ({ brew }) => brew.plan.sieveUm ?? null,
  fines_weighed_g: ({ brew }) => weighedFinesG(brew.events),
  drained_s: ({ brew }) => markedDrainS(brew),
  beverage_g: ({ brew }) => brew.beverageG,
  strength_percent: ({ brew }) => rounded(brew.result?.strength.meanPercent, 3),
  yield_percent: ({ brew }) => rounded(brew.result?.yield.yieldPercent, 2),
  yield_basis: ({ brew }) => brew.result?.yield.basis ?? null,
  tail_g: ({ row }) => row.tailG,
  tail_strength_percent: ({ row }) => row.tailTdsPercent,
  tail_note: ({ row }) => row.tailNote,
  left_out: ({ brew }) =>
    brew.events
      .flatMap((event) =>
        event.kind === 'not-prepared' ? [event.task] : event.kind === 'not-served' ? [event.serving] : [],
      )
      .join('; '),
  verdict: ({ brew }) => brew.verdict,
  verdict_reason: ({ row }) => row.verdictReason,
  set_aside: ({ brew }) => brew.isSetAside,
  simulated: ({ brew }) => brew.isSimulated,
  note: ({ row }) => row.note,
};

export const brewsCsv = (lines: readonly BrewLine[]): string => tableText(COLUMNS, lines);
