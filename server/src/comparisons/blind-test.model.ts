import { BelongsTo, Column, DataType, HasMany, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { BlindMethod, TastingStage } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';
import { PersonModel } from '../people/person.model.js';
import { BlindPlaceModel } from './blind-place.model.js';

/** A look that was taken before all had answered, and what it told. */
export interface LookTaken {
  at: string;
  by: string;
  answers: number;
  isEnough: boolean;
}

/** Coded cups of some arms, tasted without knowing. */
@Table({ tableName: 'blind_tests', updatedAt: false })
export class BlindTestModel extends Model<
  InferAttributes<BlindTestModel>,
  InferCreationAttributes<BlindTestModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare comparisonId: number;
  @Column(DataType.STRING) declare method: BlindMethod;
  /** Places of arms in the comparison: what the cups count from. */
  @Column(DataType.JSON) declare arms: number[];
  @Column(DataType.STRING) declare asksFor: string;
  @Column(DataType.JSON) declare stages: TastingStage[];
  @DecimalColumn(4, 3) declare alpha: number;
  @Column(DataType.INTEGER) declare madeBy: number;
  @Column(DataType.DATE) declare endsAt: Date;
  @Column(DataType.DATE) declare endedAt: CreationOptional<Date | null>;
  @Column(DataType.DATE) declare openedAt: CreationOptional<Date | null>;
  @Column(DataType.INTEGER) declare openedBy: CreationOptional<number | null>;
  /** Once it is open: whether a difference was found, and how many had answered. What was said never changes. */
  @Column(DataType.BOOLEAN) declare isFound: CreationOptional<boolean | null>;
  @Column(DataType.INTEGER) declare tasterCount: CreationOptional<number | null>;
  @Column(DataType.JSON) declare pouredBy: string[];
  @Column(DataType.JSON) declare looks: LookTaken[];
  declare createdAt: CreationOptional<Date>;
  @BelongsTo(() => PersonModel, 'madeBy') declare maker: NonAttribute<PersonModel>;
  @BelongsTo(() => PersonModel, 'openedBy') declare opener: NonAttribute<PersonModel | null>;
  @HasMany(() => BlindPlaceModel, 'blindTestId') declare places: NonAttribute<BlindPlaceModel[]>;
}

/** It takes no more answers: it was ended, opened, or its time is over. */
export function isOver({
  endsAt,
  endedAt,
  openedAt,
}: Pick<BlindTestModel, 'endsAt' | 'endedAt' | 'openedAt'>): boolean {
  return endedAt !== null || openedAt !== null || endsAt.getTime() <= Date.now();
}
