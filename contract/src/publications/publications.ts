import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsUUID, ValidateIf, ValidateNested } from 'class-validator';
import {
  KITCHEN_TASTES,
  type BaseProcess,
  type BrewKit,
  type BrewPlan,
  type CardModel,
  type Finding,
  type GrinderWord,
  type HomeResults,
  type KeptElevation,
  type KitchenTaste,
  type MeasuredPoint,
  type PlanChange,
  type Precision,
  type Process,
  type RightAt,
} from '@vendu/core';
import { IsPlainObject, NumberBetween, OneOf, TextUpTo, WordsOnly } from '../validation/decorators.js';

/** Bounds of an edition's words, for form and server alike. */
export const EDITION_WORDS = {
  name: { label: 'Name of the edition', max: 60 },
  tastesOf: { label: 'Tastes of, so brewed', max: 160 },
  remark: { label: 'Remark', max: 160 },
} as const;
const MOST_STEPS = 40;

/** What an edition says in words of its own. Its figures are those of its version, so words hold none. */
export class EditionDto {
  @WordsOnly(EDITION_WORDS.name)
  name: string = '';

  @WordsOnly(EDITION_WORDS.tastesOf)
  tastesOf: string = '';

  /** Beside each step of the card, in their order; empty where nothing is said. */
  @IsArray({ message: 'Remarks must be a list.' })
  @ArrayMaxSize(MOST_STEPS, { message: `Remarks must be ${MOST_STEPS} at most.` })
  @WordsOnly(EDITION_WORDS.remark, { each: true })
  remarks: string[] = [];
}

export class PublishDto {
  @NumberBetween({ label: 'Recipe version', unit: '', min: 1, max: 2_147_483_647, whole: true })
  recipeVersionId!: number;

  @TextUpTo({ label: 'Note to the customer', max: 1000 })
  introduction: string = '';

  @IsPlainObject()
  @ValidateNested()
  @Type(() => EditionDto)
  edition: EditionDto = new EditionDto();
}

export interface PublicationView {
  id: number;
  slug: string;
  versionNumber: number;
  introduction: string;
  /** `null` on cards older than editions. */
  edition: EditionDto | null;
  publishedBy: string;
  publishedAt: string;
  withdrawnAt: string | null;
  /** What the card would say otherwise if it were published anew; of the live publication only. */
  cardChanges: CardChange[];
}

/** One thing in which a published card differs from what its lot, kit or house say now. */
export interface CardChange {
  field: Exclude<
    keyof PublishedCard,
    | 'plan'
    | 'introduction'
    | 'edition'
    | 'versionNumber'
    | 'grinders'
    | 'water'
    | 'proof'
    | 'trials'
    | 'model'
  >;
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

/** A grinder of the house as a card lists it. */
export interface CardGrinder {
  name: string;
  points: readonly MeasuredPoint[];
  settingStep: number;
  finestSetting: number | null;
  coarsestSetting: number | null;
  words: readonly GrinderWord[];
  /** Where kitchens had it whose cup of this recipe was right; left out where too few told. */
  rightAt?: RightAt;
}

/** What the lot's own trials found to help against a taste. */
export interface CardTrial {
  finding: Finding;
  /** What was changed, and by how much. */
  change: string;
  /** It was gone after. */
  came: boolean;
}

/** What was proved, as a customer may expect it. */
export interface CardProof {
  strength: Precision;
  yield: Precision;
  drain: Precision | null;
  hands: number;
  grinders: number;
  roastAgeDays: { from: number; to: number };
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
  /** What to do with an older bag, as a sentence; left out where nothing is said. */
  ageNote?: string;
  introduction: string;
  versionNumber: number;
  /** Left out on cards older than editions. */
  edition?: EditionDto;
  /** Names that their owners put on it, with commas. */
  signedBy?: string;
  // Left out on cards older than these, and where nothing is known.
  grinders?: CardGrinder[];
  water?: { name: string; hardnessMgPerL: number; alkalinityMgPerL: number };
  proof?: CardProof;
  trials?: CardTrial[];
  /** What the page brews by itself with: brewer, paper, room, and what the lot taught. */
  model?: CardModel & { kit: BrewKit };
}

/** What a visitor sees. */
export interface PublicRecipeView extends PublishedCard {
  slug: string;
  publishedAt: string;
}

/** A card with what stands around it on its page. */
export interface PublicPageView {
  card: PublicRecipeView;
  /** Superseded where a newer card of the recipe is public; a proof copy never was, and is for the lab's own people. */
  standing: 'public' | 'superseded' | 'proof-copy';
  /** The lot's other cards, by brewer or by whoever made them. */
  editions: { slug: string; brewerName: string; name: string }[];
  /** Of the lot's page, which lists them all; `null` where it has none yet. */
  lotSlug: string | null;
  /** All versions that were public, newest first, and what changed from the one before. */
  versions: { number: number; publishedAt: string; changes: PlanChange[] }[];
}

/** The page of a lot: its recipes side by side, by brewer and by whoever signed them. */
export interface PublicLotView {
  editions: PublicRecipeView[];
}

/** How a card came out in somebody's kitchen: told with consent, without a name. */
export class HomeResultDto {
  @IsUUID('4', { message: 'The key of a result is a UUID.' })
  key!: string;

  @NumberBetween({ label: 'Version', unit: '', min: 1, max: 100_000, whole: true })
  versionNumber!: number;

  @NumberBetween({ label: 'Dose', unit: 'g', min: 5, max: 60 })
  doseG!: number;

  @NumberBetween({ label: 'Drained at', unit: 's', min: 20, max: 1800 })
  drainedS!: number;

  @OneOf({ label: 'Taste', values: KITCHEN_TASTES })
  taste!: KitchenTaste;

  /** One of the card's; empty for one that is not listed. */
  @TextUpTo({ label: 'Grinder', max: 160 })
  grinder: string = '';

  @ValidateIf((_, value) => value !== null)
  @NumberBetween({ label: 'Setting', unit: '', min: -1000, max: 10_000 })
  setting: number | null = null;
}

export type HomeResultsView = HomeResults;
