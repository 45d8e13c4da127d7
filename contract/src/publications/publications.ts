import type { BrewPlan, Process } from '@vendu/core';
import { NumberBetween, TextUpTo } from '../validation/decorators.js';

export class PublishDto {
  @NumberBetween({ label: 'Recipe version', unit: '', min: 1, max: 2_147_483_647, whole: true })
  recipeVersionId!: number;

  @TextUpTo({ label: 'Words to the customer', max: 1000 })
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
}

export interface PublicRecipeListItem {
  slug: string;
  lotName: string;
  country: string;
  process: Process;
  brewerName: string;
  plan: BrewPlan;
}

/** What a visitor sees: nothing of the lab's own work beyond the card. */
export interface PublicRecipeView extends PublicRecipeListItem {
  houseName: string;
  housePlace: string;
  region: string;
  farm: string;
  producer: string;
  variety: string;
  additions: string;
  labelNotes: string;
  elevationFromM: number | null;
  elevationToM: number | null;
  paper: string;
  grinderName: string;
  grinderSetting: number | null;
  introduction: string;
  versionNumber: number;
  publishedAt: string;
}
