import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateIf, ValidateNested } from 'class-validator';
import {
  EXPECTATION,
  FINDINGS,
  HOPE_KINDS,
  INTENSITIES,
  type ChangeSeen,
  type Expectation,
  type ExpectedFigure,
  type Finding,
  type Hope,
  type Intensity,
  type RuleRecord,
  type TrackRecord,
} from '@vendu/core';
import { IsPlainObject, NumberBetween, OneOf, TextUpTo } from '../validation/decorators.js';

const figure = (label: string) => NumberBetween({ label, unit: '', min: -10_000, max: 10_000 });

class ExpectedFigureDto implements ExpectedFigure {
  @figure('Expected before')
  from!: number;

  @figure('Expected')
  to!: number;

  @NumberBetween({ label: 'Its standard deviation', unit: '', min: 0, max: 10_000 })
  sd!: number;
}

class ExpectedFiguresDto {
  @IsPlainObject()
  @ValidateNested()
  @Type(() => ExpectedFigureDto)
  drawdownS!: ExpectedFigureDto;

  @IsPlainObject()
  @ValidateNested()
  @Type(() => ExpectedFigureDto)
  tdsPercent!: ExpectedFigureDto;

  @IsPlainObject()
  @ValidateNested()
  @Type(() => ExpectedFigureDto)
  yieldPercent!: ExpectedFigureDto;
}

class HopeDto {
  @OneOf({ label: 'Hope', values: HOPE_KINDS })
  kind!: Hope['kind'];

  @ValidateIf(({ kind }: HopeDto) => kind === 'gone')
  @OneOf({ label: 'What is to be gone', values: FINDINGS })
  finding?: Finding;

  @ValidateIf(({ kind }: HopeDto) => kind === 'more' || kind === 'less')
  @OneOf({ label: 'Of what', values: INTENSITIES })
  attribute?: Intensity;

  @ValidateIf(({ kind }: HopeDto) => kind === 'brings')
  @TextUpTo({ label: 'Note hoped for', max: EXPECTATION.longestWord, required: true })
  word?: string;
}

class ChangeSourceDto {
  @OneOf({ label: 'Idea', values: ['model', 'rule', 'own'] })
  kind!: Expectation['source']['kind'];

  @ValidateIf(({ kind }: ChangeSourceDto) => kind === 'rule')
  @TextUpTo({ label: 'Rule', max: 60, required: true })
  id?: string;
}

/** What a change is to do, as it stood on the board when its version was saved. */
export class ExpectationDto {
  @IsPlainObject()
  @ValidateNested()
  @Type(() => ChangeSourceDto)
  source!: ChangeSourceDto;

  @ValidateIf((_, value) => value !== null)
  @IsPlainObject()
  @ValidateNested()
  @Type(() => ExpectedFiguresDto)
  figures: ExpectedFiguresDto | null = null;

  @IsArray({ message: 'Hopes must be a list.' })
  @ArrayMaxSize(EXPECTATION.mostHopes, { message: `At most ${EXPECTATION.mostHopes} hopes fit a change.` })
  @IsPlainObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => HopeDto)
  hopes: HopeDto[] = [];
}

/** A change with its life: what it was to do, and once it was brewed, what came. */
export interface ChangeView {
  recipeId: number;
  recipeVersionId: number;
  versionNumber: number;
  by: string;
  expectation: Expectation;
  /** `null` until its version was brewed after another brew of its recipe. */
  seen: {
    beforeBrewId: number;
    afterBrewId: number;
    what: ChangeSeen;
    /** Whoever asks has not sent his own sheet yet: of hopes nothing is told. */
    isSealed: boolean;
  } | null;
}

/** How often what was expected came, over all lots of the house. */
export interface ScoresView {
  /** The model's figures: within its band, which nine of ten should be, or not. */
  model: TrackRecord;
  rules: RuleRecord[];
  /** Own changes, by whoever made them. */
  people: (TrackRecord & { personId: number; name: string })[];
}
