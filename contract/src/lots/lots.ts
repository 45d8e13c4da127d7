import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsISO31661Alpha2,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import {
  BASE_PROCESSES,
  ELEVATION_WORDS,
  LOT_SIGNS,
  LOT_STAGES,
  PROCESSES,
  ROAST_LEVELS,
  type BaseProcess,
  type ElevationWord,
  type KeptElevation,
  type LotDue,
  type LotOrigin,
  type LotSign,
  type LotStage,
  type Process,
  type RoastLevel,
  type ProofCheckId,
} from '@vendu/core';
import type { BrewListItem } from '../brews/brews.js';
import type { OutdatedCard } from '../publications/publications.js';
import type { RecipeListItem } from '../recipes/recipes.js';
import {
  CalendarDate,
  IsPlainObject,
  LabelNote,
  NumberBetween,
  OneOf,
  TextUpTo,
} from '../validation/decorators.js';
import { LABEL_NOTES, LOT_FIGURES, LOT_TEXTS, type LotFigure, type LotText } from './lotFields.js';

const isGiven = (_: object, value: unknown) => value !== null && value !== undefined;

/** The facts of a green lot. Only name, country and process are required; empty text means not known. */
export class LotFactsDto implements Record<LotText, string>, Record<LotFigure, number | null>, KeptElevation {
  @TextUpTo(LOT_TEXTS.name)
  name!: string;

  @IsISO31661Alpha2({
    message: 'Country must be chosen from the list.',
    context: { allowed: 'a country code, as RW' },
  })
  country!: string;

  @TextUpTo(LOT_TEXTS.region)
  region: string = '';

  @TextUpTo(LOT_TEXTS.farm)
  farm: string = '';

  @TextUpTo(LOT_TEXTS.producer)
  producer: string = '';

  @TextUpTo(LOT_TEXTS.variety)
  variety: string = '';

  @OneOf({ label: 'Process', values: PROCESSES })
  process!: Process;

  /** What a fermentation or a decaffeination was done on top of; nothing for a process that is a base itself. */
  @ValidateIf(isGiven)
  @OneOf({ label: 'Base process', values: BASE_PROCESSES })
  baseProcess: BaseProcess | null = null;

  @TextUpTo(LOT_TEXTS.fermentationNote)
  fermentationNote: string = '';

  @TextUpTo(LOT_TEXTS.additions)
  additions: string = '';

  /** Decaffeinated on top of its process. */
  @IsBoolean({ message: 'Decaffeinated must be yes or no.' })
  isDecaffeinated: boolean = false;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Elevation', unit: 'm', min: 0, max: 3000, whole: true })
  elevationFromM: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Elevation', unit: 'm', min: 0, max: 3000, whole: true })
  elevationToM: number | null = null;

  /** Where nobody gives a figure. */
  @ValidateIf(isGiven)
  @OneOf({ label: 'Elevation', values: ELEVATION_WORDS })
  elevationWord: ElevationWord | null = null;

  @ValidateIf(isGiven)
  @NumberBetween(LOT_FIGURES.densityGPerL)
  densityGPerL: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween(LOT_FIGURES.moisturePercent)
  moisturePercent: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween(LOT_FIGURES.waterActivity)
  waterActivity: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween(LOT_FIGURES.pricePerKg)
  pricePerKg: number | null = null;

  @TextUpTo(LOT_TEXTS.screenSize)
  screenSize: string = '';

  @TextUpTo(LOT_TEXTS.greenLook)
  greenLook: string = '';

  @TextUpTo(LOT_TEXTS.supplier)
  supplier: string = '';

  @TextUpTo(LOT_TEXTS.harvest)
  harvest: string = '';

  @TextUpTo(LOT_TEXTS.drying)
  drying: string = '';

  @IsArray({ message: 'Label notes must be a list.' })
  @ArrayMaxSize(LABEL_NOTES.mostNotes, { message: `At most ${LABEL_NOTES.mostNotes} label notes.` })
  @LabelNote({ each: true })
  labelNotes: string[] = [];

  /** When it goes on sale. */
  @ValidateIf(isGiven)
  @CalendarDate({ label: 'Launch' })
  launchOn: string | null = null;

  /** What a person noticed of it. */
  @IsArray({ message: 'Signs must be a list.' })
  @ArrayUnique({ message: 'A sign can be there once.' })
  @IsIn(LOT_SIGNS, { each: true, message: `Signs must be among: ${LOT_SIGNS.join(', ')}.` })
  signs: LotSign[] = [];
}

export class RoastBatchDto {
  @CalendarDate({ label: 'Roast date', notInFuture: true })
  roastedOn!: string;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Roast level', values: ROAST_LEVELS })
  level: RoastLevel | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Roast loss', unit: '%', min: 5, max: 30 })
  lossPercent: number | null = null;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'End temperature', unit: '°C', min: 150, max: 260 })
  endC: number | null = null;

  /** Roasted to look at the lot, not to sell it. */
  @IsBoolean({ message: 'Sample roast must be yes or no.' })
  isSample: boolean = false;
}

export class WeighStockDto {
  @NumberBetween({ label: 'Stock', unit: 'g', min: 0, max: 1_000_000 })
  massG!: number;
}

export class NewLotDto extends LotFactsDto {
  /** `null` for green coffee that is not roasted yet. */
  @ValidateIf(isGiven)
  @CalendarDate({ label: 'Roast date', notInFuture: true })
  roastedOn: string | null = null;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Roast level', values: ROAST_LEVELS })
  roastLevel: RoastLevel | null = null;

  /** What was weighed in; later weighings are told by themselves. */
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Stock', unit: 'g', min: 0, max: 1_000_000 })
  stockG: number | null = null;
}

export class EditLotDto extends LotFactsDto {
  /** The revision the facts were read at; an older one than the stored is refused as stale. */
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision!: number;
}

const MOST_IMPORTED = 500;

/** Lots from a file, all taken in or none. */
export class ImportLotsDto {
  @IsArray({ message: 'Lots must be a list.' })
  @ArrayMinSize(1, { message: 'There is no lot to add.' })
  @ArrayMaxSize(MOST_IMPORTED, { message: `At most ${MOST_IMPORTED} lots at a time.` })
  @IsPlainObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => NewLotDto)
  lots!: NewLotDto[];
}

export const LOT_SORTS = ['due', 'recent', 'name', 'launch', 'roast-age', 'brews', 'left'] as const;
export type LotSort = (typeof LOT_SORTS)[number];
export const LOTS_PER_PAGE = 50;

/** What the list of lots is narrowed and sorted by; the same words stand in the address of the page. */
export class LotsQueryDto {
  @TextUpTo({ label: 'Search', max: 120 })
  search: string = '';

  @ValidateIf(isGiven)
  @OneOf({ label: 'Stage', values: LOT_STAGES })
  stage?: LotStage | undefined;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Process', values: PROCESSES })
  process?: Process | undefined;

  @OneOf({ label: 'Sort', values: LOT_SORTS })
  sort: LotSort = 'due';

  @OneOf({ label: 'Direction', values: ['up', 'down'] })
  direction: 'up' | 'down' = 'up';

  @Type(() => Number)
  @NumberBetween({ label: 'Page', unit: '', min: 1, max: 100_000, whole: true })
  page: number = 1;
}

export interface LotsPageView {
  lots: LotListItem[];
  /** Lots that fit search and filters, on all pages. */
  total: number;
  /** All lots, by stage. */
  countByStage: Partial<Record<LotStage, number>>;
}

export interface RoastBatchView {
  id: number;
  roastedOn: string;
  level: RoastLevel | null;
  lossPercent: number | null;
  endC: number | null;
  isSample: boolean;
  ageDays: number;
}

export interface LotListItem {
  id: number;
  name: string;
  country: string;
  region: string;
  process: Process;
  baseProcess: BaseProcess | null;
  additions: string;
  isDecaffeinated: boolean;
  elevationFromM: number | null;
  elevationToM: number | null;
  elevationWord: ElevationWord | null;
  stage: LotStage;
  roastAgeDays: number | null;
  launchOn: string | null;
  daysToLaunch: number | null;
  /** What is to be done with it next. */
  due: LotDue;
  /** What the version accepted last has not shown yet; `null` where none is to be proved. */
  proofMissing: ProofCheckId[] | null;
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

export interface StockWeighingView {
  massG: number;
  by: string;
  at: string;
}

/** Another lot from the same hands: the first thing thought of when a new one comes. */
export interface KinLotView extends LotOrigin {
  id: number;
  name: string;
  /** By what they are kin: the producer where both are told, else the farm. */
  sharedBy: 'producer' | 'farm';
  labelNotes: string[];
  stage: LotStage;
  recipes: RecipeListItem[];
}

export interface LotView extends LotFactsDto {
  daysToLaunch: number | null;
  due: LotDue;
  /** Newest first. */
  weighings: StockWeighingView[];
  id: number;
  revision: number;
  stage: LotStage;
  /** What was weighed last; `null` where nothing was. */
  stockG: number | null;
  gramsLeftG: number | null;
  gramsBrewedG: number;
  roastBatches: RoastBatchView[];
  recipes: RecipeListItem[];
  /** Published cards that say otherwise than the records do now. */
  outdatedCards: OutdatedCard[];
  /** In the order brewed, brews set aside left out. */
  brews: BrewListItem[];
}
