import { MinLength, ValidateIf, ValidateNested } from 'class-validator';
import { Type } from 'class-transformer';
import type {
  Ageing,
  AgeNote,
  BatchShift,
  HouseBatches,
  LikelyCause,
  RecheckDue,
  RecheckReason,
  SharedShift,
  WatchChart,
  WatchedBrew,
  WatchedFigure,
  WatchLimits,
  WatchSignal,
} from '@vendu/core';
import { IsPlainObject, NumberBetween, WordsOnly } from '../validation/decorators.js';

/** Bounds of what a public recipe is held to, for form and server alike. */
export const WATCH_FIGURES = {
  everyDays: { label: 'Brewed again after', unit: 'days', min: 1, max: 365, whole: true },
  olderByDays: { label: 'Or once the roast is older by', unit: 'days', min: 1, max: 365, whole: true },
  strengthPercent: { label: 'Strength off by at most', unit: '%', min: 0.02, max: 0.5 },
  yieldPoints: { label: 'Yield off by at most', unit: 'points', min: 0.2, max: 5 },
  drainS: { label: 'Time off by at most', unit: 's', min: 5, max: 300, whole: true },
  likingPoints: { label: 'Liking off by at most', unit: 'of 9', min: 0.5, max: 8 },
} as const;

export class WatchLimitsDto implements WatchLimits {
  @NumberBetween(WATCH_FIGURES.everyDays)
  everyDays!: number;

  @NumberBetween(WATCH_FIGURES.olderByDays)
  olderByDays!: number;

  @NumberBetween(WATCH_FIGURES.strengthPercent)
  strengthPercent!: number;

  @NumberBetween(WATCH_FIGURES.yieldPoints)
  yieldPoints!: number;

  @NumberBetween(WATCH_FIGURES.drainS)
  drainS!: number;

  @NumberBetween(WATCH_FIGURES.likingPoints)
  likingPoints!: number;
}

/** What one recipe is held to; `null` for what is usual. */
export class RecipeWatchLimitsDto {
  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => WatchLimitsDto)
  limits: WatchLimitsDto | null = null;
}

/** Bounds of what a card says of an older bag. */
export const AGE_NOTE_FIELDS = {
  fromDay: { label: 'From day', unit: 'days from roast', min: 1, max: 365, whole: true },
  words: { label: 'What to do then', max: 120 },
} as const;

export class AgeNoteDto implements AgeNote {
  @NumberBetween(AGE_NOTE_FIELDS.fromDay)
  fromDay!: number;

  @WordsOnly(AGE_NOTE_FIELDS.words)
  @MinLength(1, { message: `${AGE_NOTE_FIELDS.words.label} is required.` })
  words!: string;
}

/** What the card of one recipe says of an older bag; `null` for nothing. */
export class RecipeAgeNoteDto {
  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => AgeNoteDto)
  note: AgeNoteDto | null = null;
}

/** A figure of the last recheck that is off. */
export interface WatchAlarm {
  figure: WatchedFigure;
  brewId: number;
  /** Count within the lot. */
  number: number;
  value: number;
  centre: number;
  signals: WatchSignal[];
}

/** One version while it was public: what was proven, and what came since. */
export interface WatchPhaseView {
  versionNumber: number;
  publishedAt: string;
  proof: WatchedBrew[];
  rechecks: WatchedBrew[];
  charts: WatchChart[];
}

export interface WatchView {
  lotId: number;
  lotName: string;
  recipeId: number;
  brewerName: string;
  /** Of the version that is public. */
  recipeVersionId: number;
  versionNumber: number;
  slug: string;
  limits: WatchLimits;
  hasOwnLimits: boolean;
  due: RecheckDue;
  /** What new batches did to it so far. */
  batchShift: BatchShift | null;
  /** What new batches did to the house's other public recipes. */
  houseBatches: HouseBatches | null;
  /** What older bags did to it so far. */
  ageing: Ageing | null;
  /** What its card says of them once it is published again. */
  ageNote: AgeNote | null;
  alarms: WatchAlarm[];
  /** What is behind the alarms; `null` without one. */
  cause: LikelyCause | null;
  /** Oldest first. */
  phases: WatchPhaseView[];
}

/** A public recipe in the list of what is watched. */
export interface WatchedRecipe {
  lotId: number;
  lotName: string;
  recipeId: number;
  brewerName: string;
  recipeVersionId: number;
  versionNumber: number;
  dueOn: string;
  reasons: RecheckReason[];
  alarms: WatchAlarm[];
  lastCheckedAt: string | null;
}

/** What is watched: what is off first, then by when it is due. */
export interface WatchListView {
  /** Grinders whose lots all moved the same way. */
  shared: SharedShift[];
  recipes: WatchedRecipe[];
  /** Lots with a public recipe in all. */
  total: number;
}
export const WATCHED_PER_PAGE = 50;
