import type { LotListItem } from '@vendu/contract';
import { rounded, tableText, type TableColumns } from './table-text.js';

const COLUMNS: TableColumns<LotListItem> = {
  lot: ({ name }) => name,
  country: ({ country }) => country,
  region: ({ region }) => region,
  process: ({ process }) => process,
  base_process: ({ baseProcess }) => baseProcess,
  added: ({ additions }) => additions,
  decaffeinated: ({ isDecaffeinated }) => isDecaffeinated,
  elevation_from_m: ({ elevationFromM }) => elevationFromM,
  elevation_to_m: ({ elevationToM }) => elevationToM,
  stage: ({ stage }) => stage,
  due: ({ due }) => due.action,
  launch_on: ({ launchOn }) => launchOn,
  roast_age_days: ({ roastAgeDays }) => roastAgeDays,
  brewer: ({ recipe }) => recipe?.brewerName ?? null,
  brews: ({ brewCount }) => brewCount,
  last_strength_percent: ({ lastStrengthPercent }) => rounded(lastStrengthPercent, 3),
  last_yield_percent: ({ lastYieldPercent }) => rounded(lastYieldPercent, 2),
  left_g: ({ gramsLeftG }) => gramsLeftG,
  brewed_g: ({ gramsBrewedG }) => gramsBrewedG,
};

/** Lots as their list shows them. */
export const lotsCsv = (lots: readonly LotListItem[]): string => tableText(COLUMNS, lots);
