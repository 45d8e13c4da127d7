import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { BrewPlan, ExerciseName, PracticeScore } from '@vendu/core';
import { PersonModel } from '../people/person.model.js';

/** One scored practice pour of one person. */
@Table({ tableName: 'practice_runs', updatedAt: false })
export class PracticeRunModel extends Model<
  InferAttributes<PracticeRunModel>,
  InferCreationAttributes<PracticeRunModel>
> {
  declare id: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.CHAR(36)) declare clientKey: string;
  @Column(DataType.INTEGER) declare personId: number;
  @Column(DataType.STRING) declare exercise: ExerciseName;
  @Column(DataType.JSON) declare plan: BrewPlan;
  @Column(DataType.JSON) declare score: PracticeScore;
  @BelongsTo(() => PersonModel, 'personId') declare person: NonAttribute<PersonModel>;
}
