import { Type } from 'class-transformer';
import { ValidateNested } from 'class-validator';
import { EXERCISE_NAMES, type ExerciseName, type PracticeScore } from '@vendu/core';
import { TraceDto } from './brews/bench.js';
import { PlanDto } from './recipes/recipes.js';
import { IsPlainObject, OneOf } from './validation/decorators.js';

/** A practice pour as the scale saw it; the server scores it. Put under a key, so that sending twice counts once. */
export class PracticeDto {
  @OneOf({ label: 'Exercise', values: EXERCISE_NAMES })
  exercise!: ExerciseName;

  @IsPlainObject()
  @ValidateNested()
  @Type(() => PlanDto)
  plan!: PlanDto;

  @IsPlainObject()
  @ValidateNested()
  @Type(() => TraceDto)
  trace!: TraceDto;
}

export interface PracticeView {
  id: number;
  exercise: ExerciseName;
  score: PracticeScore;
  by: string;
  isOwn: boolean;
  at: string;
}
