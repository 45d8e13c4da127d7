import { IsBoolean, ValidateIf, ValidateNested } from 'class-validator';
import { Type } from 'class-transformer';
import type { NotCounted, Precision, ProofBrew, ProofCheck, ProofChecklist } from '@vendu/core';
import { IsPlainObject, NumberBetween, TextUpTo } from '../validation/decorators.js';
import type { Signature } from '../recipes/recipes.js';

/** Bounds of what a checklist may ask, for form and server alike. */
export const CHECKLIST_FIGURES = {
  repeats: { label: 'Repeats', unit: 'brews', min: 2, max: 12, whole: true },
  strengthApartPercent: { label: 'Strength apart by at most', unit: '%', min: 0.02, max: 0.5 },
  yieldApartPoints: { label: 'Yield apart by at most', unit: 'points', min: 0.2, max: 5 },
  drainApartS: { label: 'Time apart by at most', unit: 's', min: 5, max: 300, whole: true },
  forgivenPercent: { label: 'Home brewers who get this cup', unit: '%', min: 1, max: 100, whole: true },
  labelFoundPercent: { label: 'Label notes found', unit: '%', min: 1, max: 100, whole: true },
} as const;

const isGiven = (_: object, value: unknown) => value !== null && value !== undefined;
const yesOrNo = (label: string) => IsBoolean({ message: `${label} must be yes or no.` });

/** What a version has to show before a lead signs it off. */
export class ChecklistDto implements ProofChecklist {
  @NumberBetween(CHECKLIST_FIGURES.repeats)
  repeats!: number;

  @NumberBetween(CHECKLIST_FIGURES.strengthApartPercent)
  strengthApartPercent!: number;

  @NumberBetween(CHECKLIST_FIGURES.yieldApartPoints)
  yieldApartPoints!: number;

  @NumberBetween(CHECKLIST_FIGURES.drainApartS)
  drainApartS!: number;

  @yesOrNo('Another pair of hands')
  needsSecondHands!: boolean;

  @yesOrNo('Another grinder')
  needsSecondGrinder!: boolean;

  @ValidateIf(isGiven)
  @NumberBetween(CHECKLIST_FIGURES.forgivenPercent)
  forgivenPercent: number | null = null;

  @yesOrNo('Tasted hot, warm and cool')
  needsThreeStages!: boolean;

  @ValidateIf(isGiven)
  @NumberBetween(CHECKLIST_FIGURES.labelFoundPercent)
  labelFoundPercent: number | null = null;
}

/** The house's own checklist. */
export class HouseChecklistDto extends ChecklistDto {
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision!: number;
}

/** A checklist of one recipe; `null` for the house's. */
export class RecipeChecklistDto {
  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => ChecklistDto)
  checklist: ChecklistDto | null = null;
}

export const WAIVER_REASON = { label: 'Reason', max: 500, required: true };

export class WaiverDto {
  @TextUpTo(WAIVER_REASON)
  reason!: string;
}

export class SignOffDto {
  /** Why somebody signs what he brewed alone. */
  @TextUpTo({ label: 'Reason', max: 500 })
  reason: string = '';
}

export interface ProofCheckView extends ProofCheck {
  /** Who waived it, and when. */
  waived: Signature | null;
}

/** A brew of the version, and why it proves nothing where it does not. */
export interface ProofBrewView extends ProofBrew {
  startedAt: string;
  notCounted: NotCounted | null;
}

/** What a version has shown beside what it has to show. */
export interface ProofView {
  lotId: number;
  recipeId: number;
  recipeVersionId: number;
  checklist: ProofChecklist;
  hasOwnChecklist: boolean;
  checks: ProofCheckView[];
  isProven: boolean;
  strength: Precision | null;
  yield: Precision | null;
  drain: Precision | null;
  roastAgeDays: { from: number; to: number } | null;
  hands: string[];
  grinders: string[];
  isOneHand: boolean;
  /** Why a lead signed what he had brewed alone; empty where nothing was said. */
  signOffReason: string;
  /** Newest first. */
  brews: ProofBrewView[];
}
