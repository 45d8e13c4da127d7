import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import {
  AGITATION_CONDITIONS,
  AGITATIONS,
  BEVERAGE_MIXINGS,
  OFFERS,
  POUR_PATTERNS,
  POUR_TRIGGERS,
  type Agitation,
  type AgitationCondition,
  type AgitationHow,
  type Aim,
  type BeverageMixing,
  type OfferId,
  type BrewPlan,
  type CalibratedForecast,
  type CupSchedule,
  type LotPrior,
  type Pour,
  type PourPattern,
  type PourTrigger,
  type Schools,
  type SecondGrind,
  type StartingReasons,
} from '@vendu/core';
import type { BrewListItem } from '../brews/brews.js';
import type { PublicationView } from '../publications/publications.js';
import { AimDto, StandsDto } from '../kit/houseDtos.js';
import { ExpectationDto } from '../changes/changes.js';
import { Cups } from './cups.js';
import { IsPlainObject, NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';

const MOST_POURS = 12;
const isGiven = (_: object, value: unknown) => value !== undefined;

/** Count, force and condition of an agitation. */
export class AgitationHowDto implements AgitationHow {
  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Times', unit: '', min: 1, max: 50, whole: true })
  times?: number;

  @ValidateIf(isGiven)
  @IsBoolean({ message: 'Hard must be yes or no.' })
  isHard?: boolean;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Only if', values: AGITATION_CONDITIONS })
  onlyIf?: AgitationCondition;
}

export class PourDto implements Pour {
  @NumberBetween({ label: 'Start', unit: 's', min: 0, max: 3600, whole: true })
  startS!: number;

  @NumberBetween({ label: 'Amount', unit: 'g', min: 1, max: 3000 })
  amountG!: number;

  @NumberBetween({ label: 'Flow', unit: 'g/s', min: 1, max: 25 })
  flowGps!: number;

  @OneOf({ label: 'Agitation', values: AGITATIONS })
  agitation!: Agitation;

  @ValidateIf(isGiven)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => AgitationHowDto)
  agitationHow?: AgitationHowDto;

  @IsBoolean({ message: 'Bloom must be yes or no.' })
  isBloom!: boolean;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Kettle', unit: '°C', min: 60, max: 100 })
  kettleC?: number;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Pattern', values: POUR_PATTERNS })
  pattern?: PourPattern;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Height', unit: 'cm', min: 1, max: 60 })
  heightCm?: number;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Waits', values: POUR_TRIGGERS })
  startsWhen?: PourTrigger;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Water over the bed', unit: 'mm', min: 1, max: 100, whole: true })
  levelMm?: number;
}

/** A second grind put together with the first. */
export class SecondGrindDto implements SecondGrind {
  @NumberBetween({ label: 'Second grind', unit: 'µm', min: 200, max: 2000, whole: true })
  grindUm!: number;

  @NumberBetween({ label: 'Share of the second grind', unit: '%', min: 5, max: 95, whole: true })
  sharePercent!: number;
}

const DOSE = { label: 'Dose', unit: 'g', min: 5, max: 120 };

export class PlanDto implements BrewPlan {
  @NumberBetween(DOSE)
  doseG!: number;

  @NumberBetween({ label: 'Kettle', unit: '°C', min: 60, max: 100 })
  kettleC!: number;

  @NumberBetween({ label: 'Grind', unit: 'µm', min: 200, max: 2000, whole: true })
  grindUm!: number;

  @ValidateIf(isGiven)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => SecondGrindDto)
  secondGrind?: SecondGrindDto;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Sieve', unit: 'µm', min: 100, max: 1000, whole: true })
  sieveUm?: number;

  @IsArray({ message: 'Pours must be a list.' })
  @ArrayMinSize(1, { message: 'A plan needs at least one pour.' })
  @ArrayMaxSize(MOST_POURS, { message: `A plan takes at most ${MOST_POURS} pours.` })
  @IsPlainObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => PourDto)
  pours!: readonly PourDto[];

  @NumberBetween({ label: 'Drain time', unit: 's', min: 30, max: 3600, whole: true })
  drawdownS!: number;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'End within', unit: 's', min: 1, max: 120, whole: true })
  endWithinS?: number;

  @ValidateIf(isGiven)
  @IsBoolean({ message: 'Lifting the brewer must be yes or no.' })
  lifts?: boolean;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Chilled ball until', unit: 's', min: 1, max: 600, whole: true })
  ballUntilS?: number;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Lid opened at', unit: 's', min: 0, max: 3600, whole: true })
  lidOpensS?: number;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Flow regulator', unit: 'g/s', min: 0.5, max: 25 })
  regulatorGps?: number;

  @ValidateIf(isGiven)
  @IsBoolean({ message: 'Shower plate must be yes or no.' })
  showerPlate?: boolean;

  @ValidateIf(isGiven)
  @IsBoolean({ message: 'Needles through the dry bed must be yes or no.' })
  needlesDry?: boolean;

  @ValidateIf(isGiven)
  @IsBoolean({ message: 'A cup for the tail must be yes or no.' })
  tailApart?: boolean;

  @ValidateIf(isGiven)
  @Cups()
  cups?: CupSchedule;

  @ValidateIf(isGiven)
  @NumberBetween({ label: 'Bypass', unit: 'g', min: 1, max: 1000 })
  bypassG?: number;

  @ValidateIf(isGiven)
  @OneOf({ label: 'Beverage', values: BEVERAGE_MIXINGS })
  beverageMixed?: BeverageMixing;

  @ValidateIf(isGiven)
  @IsBoolean({ message: 'Decanting must be yes or no.' })
  decants?: boolean;
}

const id = (label: string) => NumberBetween({ label, unit: '', min: 1, max: 2_147_483_647, whole: true });

/** Water, kettle and aim of a recipe; they may change under it, as its paper and brewer may not. */
export class RecipeSetupDto {
  @ValidateIf((_, value) => value !== null)
  @id('Water')
  waterId: number | null = null;

  @ValidateIf((_, value) => value !== null)
  @id('Kettle')
  kettleId: number | null = null;

  /** What this recipe aims at; `null` for what its school makes of the house's window. */
  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => AimDto)
  aim: AimDto | null = null;
}

/** What a version is saved with in words. */
export const VERSION_NOTE = { label: 'What changed and why', max: 500 };

/** Asks for the starting recipe of a lot on one brewer and one grinder; looked at first, then kept. */
export class NewRecipeDto extends RecipeSetupDto {
  @id('Brewer')
  brewerId!: number;

  @id('Grinder')
  grinderId!: number;

  /** `null` for the brewer's usual one. */
  @ValidateIf((_, value) => value !== null)
  @id('Paper')
  paperId: number | null = null;

  /** Dose of the starting recipe, g; `null` for the brewer's usual one. */
  @ValidateIf((_, value) => value !== null)
  @NumberBetween(DOSE)
  doseG: number | null = null;

  /** A plan to keep in place of the starting recipe, as one scaled from another brewer. */
  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => PlanDto)
  plan: PlanDto | null = null;

  /** Where the plan comes from; of a plan given only. */
  @TextUpTo(VERSION_NOTE)
  note: string = '';

  /** Rules of the starting recipe that somebody switched off for this lot. */
  @IsArray({ message: 'Rules switched off must be a list.' })
  @ArrayMaxSize(60, { message: 'At most 60 rules can be switched off.' })
  @TextUpTo({ label: 'Rule', max: 60, required: true }, { each: true })
  switchedOff: string[] = [];

  /** What was taken of that which the starting recipe offers. */
  @IsArray({ message: 'Offers taken must be a list.' })
  @ArrayUnique({ message: 'An offer can be taken once.' })
  @IsIn(OFFERS, { each: true, message: `Offers must be among: ${OFFERS.join(', ')}.` })
  offersTaken: OfferId[] = [];

  /** Stands of this recipe where they are not the house's; `null` for the house's. */
  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => StandsDto)
  schools: StandsDto | null = null;
}

/** Stands of one recipe where they are not the house's; `null` for the house's. */
export class RecipeSchoolsDto {
  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => StandsDto)
  schools: StandsDto | null = null;
}

/** A starting recipe before it is kept. */
export interface StartingPreview {
  /** How many brews of this lot in other kit it was learned from. */
  brewsElsewhere: number;
  plan: BrewPlan;
  reasons: StartingReasons;
  /** Rough ranges: the lot was never brewed. */
  forecast: CalibratedForecast;
  /** Finished lots of the house whose brews the forecast learns from, like this one or not. */
  earlierLots: number;
  similar: SimilarLotView[];
  grinderSetting: number | null;
  grinderNote: string;
}

/** A finished lot like the new one, and where its recipe ended. */
export interface SimilarLotView {
  lotId: number;
  name: string;
  likeness: number;
  because: string[];
  startGrindUm: number;
  plan: BrewPlan;
}

export class NewVersionDto {
  /** Number of the version that was edited. If a newer one exists, this one is refused as stale. */
  @NumberBetween({ label: 'Based on version', unit: '', min: 1, max: 100_000, whole: true })
  basedOn!: number;

  @IsPlainObject()
  @ValidateNested()
  @Type(() => PlanDto)
  plan!: PlanDto;

  @TextUpTo(VERSION_NOTE)
  note: string = '';

  /** What the change is to do; `null` where nobody wrote it down. */
  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => ExpectationDto)
  expectation: ExpectationDto | null = null;
}

/** A person and a moment: who did it, and when (RFC 3339, UTC). */
export interface Signature {
  by: string;
  at: string;
}

export interface RecipeVersionView {
  id: number;
  number: number;
  basedOn: number | null;
  plan: BrewPlan;
  /** The house grinder's setting for the plan's grind; `null` with a reason where it cannot be said. */
  grinderSetting: number | null;
  grinderNote: string;
  /** The setting for its second grind; `null` where there is none or none can be said. */
  secondSetting: number | null;
  note: string;
  /** Of the starting recipe only. */
  reasons: StartingReasons | null;
  created: Signature;
  accepted: Signature | null;
  signedOff: Signature | null;
  /** Whoever put his name on its card, first come first. */
  signatures: Signature[];
  brewCount: number;
}

export interface RecipeListItem {
  id: number;
  lotId: number;
  brewerName: string;
  paperName: string;
  latestVersion: number;
  plan: BrewPlan;
  accepted: boolean;
  signedOff: boolean;
  publishedSlug: string | null;
}

/** Brews of a lot by another of its recipes. */
export interface BrewsElsewhere {
  recipeId: number;
  brewerId: number;
  paperId: number;
  brewerName: string;
  brews: BrewListItem[];
}

export interface RecipeView {
  id: number;
  lot: { id: number; name: string; country: string; process: string; additions: string };
  brewerId: number;
  brewerName: string;
  paperId: number;
  paperName: string;
  /** `null` where nobody said. */
  waterId: number | null;
  waterName: string | null;
  kettleId: number | null;
  kettleName: string | null;
  /** What it aims at by itself; `null` where its school and the house say. */
  aim: Aim | null;
  grinderId: number;
  grinderName: string;
  /** Newest first. */
  versions: RecipeVersionView[];
  brews: BrewListItem[];
  /** The lot's brews by its other recipes, which teach of the lot what is not the kit's. */
  elsewhere: BrewsElsewhere[];
  /** Newest first, withdrawn ones too. */
  publications: PublicationView[];
  latestRoastBatchId: number | null;
  latestRoastAgeDays: number | null;
  /** What is believed of the lot before its brews: from its facts and from lots like it. */
  prior: LotPrior;
  /** The stands that hold for this recipe, and whether they are its own. */
  schools: Schools;
  hasOwnSchools: boolean;
}
