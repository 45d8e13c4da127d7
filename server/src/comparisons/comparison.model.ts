import { BelongsTo, Column, DataType, HasMany, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { ComparedAxis, GrindMatch } from '@vendu/core';
import { PersonModel } from '../people/person.model.js';
import { BlindTestModel } from './blind-test.model.js';
import { ComparisonArmModel } from './comparison-arm.model.js';

/** Arms brewed to answer one question. */
@Table({ tableName: 'comparisons', updatedAt: false, version: 'revision' })
export class ComparisonModel extends Model<
  InferAttributes<ComparisonModel>,
  InferCreationAttributes<ComparisonModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare question: string;
  @Column(DataType.JSON) declare asks: ComparedAxis[];
  @Column(DataType.STRING) declare matchedBy: GrindMatch;
  @Column(DataType.INTEGER) declare rounds: number;
  @Column(DataType.INTEGER) declare madeBy: number;
  declare revision: CreationOptional<number>;
  declare createdAt: CreationOptional<Date>;
  @BelongsTo(() => PersonModel, 'madeBy') declare maker: NonAttribute<PersonModel>;
  @HasMany(() => ComparisonArmModel, 'comparisonId') declare arms: NonAttribute<ComparisonArmModel[]>;
  @HasMany(() => BlindTestModel, 'comparisonId') declare tests: NonAttribute<BlindTestModel[]>;
}
