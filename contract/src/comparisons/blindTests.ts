import { ArrayMinSize, ArrayUnique, IsArray, IsIn, IsObject, Matches, ValidateIf } from 'class-validator';
import {
  BLIND_METHODS,
  BLIND_TASTERS,
  TASTING_STAGES,
  type BlindAnswer,
  type BlindCup,
  type BlindMethod,
  type StageResult,
  type TastingStage,
} from '@vendu/core';
import type { Signature } from '../recipes/recipes.js';
import { NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';

export const BLIND_FIELDS = {
  tasters: { label: 'Tasters', unit: '', min: BLIND_TASTERS.fewest, max: BLIND_TASTERS.most, whole: true },
  alphaPercent: { label: 'False alarms allowed', unit: '%', min: 1, max: 20 },
  hours: { label: 'Ends after', unit: 'h', min: 1, max: 48, whole: true },
  asksFor: { label: 'Asked of the tasters', max: 120 },
  note: { label: 'What you taste', max: 500 },
} as const;

const isGiven = (_: object, value: unknown) => value !== undefined && value !== null;

/** Coded cups for so many tasters. */
export class NewBlindTestDto {
  @OneOf({ label: 'Kind of test', values: BLIND_METHODS })
  method!: BlindMethod;

  /** Which arms are in it, from 0. */
  @IsArray({ message: 'Arms must be a list.' })
  @ArrayMinSize(2, { message: 'A blind test needs two arms or more.' })
  @ArrayUnique({ message: 'An arm can be in it once.' })
  @NumberBetween({ label: 'Arm', unit: '', min: 0, max: 3, whole: true }, { each: true })
  arms!: number[];

  /** What a preference or a rank goes by, as `which is sweeter`; empty for liking. */
  @TextUpTo(BLIND_FIELDS.asksFor)
  asksFor: string = '';

  @IsArray({ message: 'Stages must be a list.' })
  @ArrayMinSize(1, { message: 'Choose one stage or more: hot, warm, cool.' })
  @ArrayUnique({ message: 'A stage can be asked about once.' })
  @IsIn(TASTING_STAGES, { each: true, message: `Stages must be among: ${TASTING_STAGES.join(', ')}.` })
  stages!: TastingStage[];

  @NumberBetween(BLIND_FIELDS.tasters)
  tasters!: number;

  @NumberBetween(BLIND_FIELDS.alphaPercent)
  alphaPercent: number = 5;

  @NumberBetween(BLIND_FIELDS.hours)
  hours: number = 3;
}

/** The phone that takes a place; it keeps its key, so that a page loaded again is the same taster. */
export class TakePlaceDto {
  @Matches(/^[0-9a-f]{32}$/, { message: 'The key of a phone is 32 digits from 0 to f.' })
  device!: string;
}

export class BlindAnswerDto extends TakePlaceDto implements BlindAnswer {
  @ValidateIf(isGiven)
  @TextUpTo({ label: 'Chosen', max: 3 })
  chosen?: string;

  @ValidateIf(isGiven)
  @IsArray({ message: 'Ranked must be a list.' })
  @TextUpTo({ label: 'Code', max: 3 }, { each: true })
  ranked?: string[];

  /** Points by code. */
  @ValidateIf(isGiven)
  @IsObject({ message: 'Scores must be points by code.' })
  scores?: Record<string, number>;

  @TextUpTo(BLIND_FIELDS.note)
  note: string = '';
}

/** A place as the phone at it sees it: no names, no key, nobody else. */
export interface PlaceView {
  /** From 1; stands on its cups. */
  number: number;
  method: BlindMethod;
  asksFor: string;
  stages: TastingStage[];
  answered: TastingStage[];
  /** Codes from left to right; an empty one is the known cup. */
  codes: string[];
  endsAt: string;
  isOver: boolean;
  /** What is in co-fermented coffees, for whoever must not drink it. */
  additions: string[];
}

export interface BlindPlaceView {
  number: number;
  /** Path of its page, for the phone. */
  path: string;
  codes: string[];
  isTaken: boolean;
  answered: TastingStage[];
}

/** A look at how far a test is, which tells no count. */
export interface BlindLookView {
  at: string;
  by: string;
  answers: number;
  isEnough: boolean;
}

/** What the tasters said of one set, once it is open. */
export interface OpenedPlaceView {
  number: number;
  cups: BlindCup[];
  notes: { stage: TastingStage; text: string }[];
}

export interface BlindTestView {
  id: number;
  method: BlindMethod;
  arms: number[];
  asksFor: string;
  stages: TastingStage[];
  alpha: number;
  made: Signature;
  endsAt: string;
  /** It takes no more answers. */
  isOver: boolean;
  opened: Signature | null;
  /** Whoever has seen the key so that cups could be poured. */
  pouredBy: string[];
  looks: BlindLookView[];
  places: BlindPlaceView[];
  /** `null` until a lead has opened it. */
  results: StageResult[] | null;
  key: OpenedPlaceView[] | null;
}

/** Which coffee goes into which cup. */
export interface PouringView {
  sets: { number: number; cups: BlindCup[] }[];
}
