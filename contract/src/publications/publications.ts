import { Type } from 'class-transformer';
import type { BaseProcess, BrewPlan, KeptElevation, Process } from '@vendu/core';
import { NumberBetween, TextUpTo } from '../validation/decorators.js';

export class PublishDto {
  @NumberBetween({ label: 'Recipe version', unit: '', min: 1, max: 2_147_483_647, whole: true })
  recipeVersionId!: number;

  @TextUpTo({ label: 'Note to the customer', max: 1000 })
  introduction: string = '';
}

export interface PublicationView {
  id: number;
  slug: string;
  versionNumber: number;
  introduction: string;
  publishedBy: string;
  publishedAt: string;
  withdrawnAt: string | null;
  /** What the card would say otherwise if it were published anew; of the live publication only. */
  cardChanges: CardChange[];
}

/** One thing in which a published card differs from what its lot, kit or house say now. */
export interface CardChange {
  field: Exclude<keyof PublishedCard, 'plan' | 'introduction' | 'versionNumber'>;
  published: string;
  now: string;
}

/** A public card that a lead may want to publish again. */
export interface OutdatedCard {
  recipeId: number;
  brewerName: string;
  slug: string;
  changes: CardChange[];
}

export interface PublicRecipeListItem {
  slug: string;
  lotName: string;
  country: string;
  process: Process;
  /** Left out on cards older than this. */
  baseProcess?: BaseProcess | null;
  isDecaffeinated?: boolean;
  brewerName: string;
  plan: BrewPlan;
  houseName: string;
  housePlace: string;
  region: string;
  /** Allergens among them: said wherever the recipe is. */
  additions: string;
  labelNotes: string;
}

/** A page of published recipes, newest first. */
export interface PublishedPageView {
  recipes: PublicRecipeListItem[];
  /** On all pages. */
  total: number;
}
export const PUBLISHED_PER_PAGE = 24;

export class PublishedQueryDto {
  @Type(() => Number)
  @NumberBetween({ label: 'Page', unit: '', min: 1, max: 100_000, whole: true })
  page: number = 1;
}

/** What the card says, kept as it was when it was published: nothing of the lab's own work beyond it. */
export interface PublishedCard extends Omit<PublicRecipeListItem, 'slug'>, KeptElevation {
  farm: string;
  producer: string;
  variety: string;
  paper: string;
  grinderName: string;
  grinderSetting: number | null;
  /** Of a second grind; left out where there is none. */
  secondSetting?: number;
  introduction: string;
  versionNumber: number;
}

/** What a visitor sees. */
export interface PublicRecipeView extends PublishedCard {
  slug: string;
  publishedAt: string;
}
