import { IsISO31661Alpha2, ValidateIf } from 'class-validator';
import { PROCESSES, ROAST_LEVELS, type LotStage, type Process, type RoastLevel } from '@vendu/core';
import type { BrewListItem } from '../brews/brews.js';
import type { RecipeListItem } from '../recipes/recipes.js';
import { CalendarDate, NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';

const isGiven = (_: object, value: unknown) => value !== null && value !== undefined;
const text = (label: string, max = 120) => TextUpTo({ label, max });

/** The facts of a green lot. Only name, country and process are required; empty text means not known. */
export class LotFactsDto {
  @TextUpTo({ label: 'Name', max: 120, required: true })
  name!: string;

  @IsISO31661Alpha2({
    message: 'Country must be chosen from the list.',
    context: { allowed: 'a country code, as RW' },
  })
  country!: string;

  @text('Region')
  region: string = '';

  @text('Farm or station')
  farm: string = '';

  @text('Producer')
  producer: string = '';

  @text('Variety')
  variety: string = '';

  @OneOf({ label: 'Process', values: PROCESSES })
  process!: Process;

  @text('Fermentation note', 500)
  fermentationNote: string = '';

  /** What was added in a co-ferment: an allergen fact, shown wherever the lot is tasted or published. */
  @text('Added fruit or yeast', 200)
  additions: string = '';

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Elevation', unit: 'm', min: 0, max: 3000, whole: true })
  elevationFromM: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Elevation', unit: 'm', min: 0, max: 3000, whole: true })
  elevationToM: number | null = null;

  @text('Harvest')
  harvest: string = '';

  @text('Drying')
  drying: string = '';

  @text('Label notes', 300)
  labelNotes: string = '';

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Stock', unit: 'g', min: 0, max: 1_000_000 })
  stockG: number | null = null;
}

export class RoastBatchDto {
  @CalendarDate({ label: 'Roast date', notInFuture: true })
  roastedOn!: string;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Roast level', values: ROAST_LEVELS })
  level: RoastLevel | null = null;
}

export class NewLotDto extends LotFactsDto {
  @CalendarDate({ label: 'Roast date', notInFuture: true })
  roastedOn!: string;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Roast level', values: ROAST_LEVELS })
  roastLevel: RoastLevel | null = null;
}

export class EditLotDto extends LotFactsDto {
  /** The revision the facts were read at; an older one than the stored is refused as stale. */
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision!: number;
}

export interface RoastBatchView {
  id: number;
  roastedOn: string;
  level: RoastLevel | null;
  ageDays: number;
}

export interface LotListItem {
  id: number;
  name: string;
  country: string;
  region: string;
  process: Process;
  additions: string;
  elevationFromM: number | null;
  elevationToM: number | null;
  stage: LotStage;
  latestRoast: RoastBatchView | null;
  /** What was weighed in less what brews took; `null` where nothing was weighed in. */
  gramsLeftG: number | null;
  gramsBrewedG: number;
  brewCount: number;
  /** The recipe worked on last. */
  recipe: RecipeListItem | null;
  lastStrengthPercent: number | null;
  lastYieldPercent: number | null;
  lastYieldBasis: 'weighed' | 'assumed' | null;
}

export interface LotView extends LotFactsDto {
  id: number;
  revision: number;
  stage: LotStage;
  gramsLeftG: number | null;
  gramsBrewedG: number;
  roastBatches: RoastBatchView[];
  recipes: RecipeListItem[];
  /** In the order brewed, brews set aside left out. */
  brews: BrewListItem[];
}
