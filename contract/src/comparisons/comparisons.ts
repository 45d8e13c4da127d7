import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsIn } from 'class-validator';
import {
  ARMS,
  COMPARED_AXES,
  GRIND_MATCHES,
  ROUNDS,
  type BlindMethod,
  type ComparedArm,
  type ComparedAxis,
  type ComparedBrew,
  type GrindMatch,
} from '@vendu/core';
import type { Signature } from '../recipes/recipes.js';
import { NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';
import type { BlindTestView } from './blindTests.js';

export const COMPARISON_FIELDS = {
  question: { label: 'Question', max: 300, required: true },
  rounds: { label: 'Brews of each', unit: '', min: ROUNDS.fewest, max: ROUNDS.most, whole: true },
} as const;

/** What a comparison asks, and how its brews are made. */
class QuestionDto {
  @TextUpTo(COMPARISON_FIELDS.question)
  question!: string;

  /** What is to differ between the arms; anything else that differs confounds it. */
  @IsArray({ message: 'What is asked about must be a list.' })
  @ArrayMinSize(1, { message: 'Say what the question is about: 1 or more.' })
  @ArrayUnique({ message: 'Each thing can be asked about once.' })
  @IsIn(COMPARED_AXES, {
    each: true,
    message: `What is asked about must be among: ${COMPARED_AXES.join(', ')}.`,
  })
  asks!: ComparedAxis[];

  @OneOf({ label: 'Grind matched by', values: GRIND_MATCHES })
  matchedBy: GrindMatch = 'dial';

  /** How often each arm is brewed. */
  @NumberBetween(COMPARISON_FIELDS.rounds)
  rounds: number = 2;
}

export class NewComparisonDto extends QuestionDto {
  /** The versions that are compared; A is the first. */
  @IsArray({ message: 'Arms must be a list.' })
  @ArrayMinSize(ARMS.fewest, { message: `A comparison has ${ARMS.fewest} to ${ARMS.most} arms.` })
  @ArrayMaxSize(ARMS.most, { message: `A comparison has ${ARMS.fewest} to ${ARMS.most} arms.` })
  @ArrayUnique({ message: 'A version can be one arm only.' })
  @NumberBetween(
    { label: 'Recipe version', unit: '', min: 1, max: 2_147_483_647, whole: true },
    { each: true },
  )
  versionIds!: number[];
}

export class ChangeComparisonDto extends QuestionDto {
  @NumberBetween({ label: 'Revision', unit: '', min: 0, max: 1_000_000, whole: true })
  revision!: number;
}

/** A version takes the place of an arm that was not brewed yet, as one with its grind matched. */
export class ArmVersionDto {
  @NumberBetween({ label: 'Recipe version', unit: '', min: 1, max: 2_147_483_647, whole: true })
  recipeVersionId!: number;
}

export interface ArmBrewView extends ComparedBrew {
  id: number;
  /** Count within the lot. */
  number: number;
}

export interface ComparisonArmView extends Omit<ComparedArm, 'brews'> {
  id: number;
  lotId: number;
  recipeId: number;
  recipeVersionId: number;
  versionNumber: number;
  /** The house grinder's setting; `null` where none can be said. */
  grinderSetting: number | null;
  brews: ArmBrewView[];
}

export interface ComparisonView {
  id: number;
  revision: number;
  question: string;
  asks: ComparedAxis[];
  matchedBy: GrindMatch;
  rounds: number;
  made: Signature;
  arms: ComparisonArmView[];
  tests: BlindTestView[];
  /** Where a phone in the same room finds this server, `http://10.0.0.7:4600`; `null` where it listens to this machine only. */
  phoneOrigin: string | null;
}

export interface ComparisonListItem {
  id: number;
  question: string;
  asks: ComparedAxis[];
  made: Signature;
  lots: { id: number; name: string }[];
  /** Of each arm: what it is called, which version, and in what it was brewed. */
  arms: { name: string; recipeVersionId: number; brewerId: number; paperId: number }[];
  brews: number;
  /** One of its versions was made of another: what was compared is a change. */
  isOfChange: boolean;
  tests: {
    method: BlindMethod;
    state: 'out' | 'ended' | 'opened';
    isFound: boolean | null;
    tasters: number;
  }[];
}
