import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { ChangeSeen, Expectation } from '@vendu/core';
import { RecipeVersionModel } from './recipe-version.model.js';

/** What the change that made a version was to do, written with the version; what came is added once it was brewed. */
@Table({ tableName: 'changes', timestamps: false })
export class ChangeModel extends Model<InferAttributes<ChangeModel>, InferCreationAttributes<ChangeModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare recipeVersionId: number;
  @Column(DataType.INTEGER) declare lotId: number;
  @Column(DataType.STRING) declare ruleId: string | null;
  @Column(DataType.BOOLEAN) declare isOwn: boolean;
  @Column(DataType.JSON) declare expectation: Expectation;
  // From here on computed from the records by `refreshChanges`.
  @Column(DataType.INTEGER) declare beforeBrewId: CreationOptional<number | null>;
  @Column(DataType.INTEGER) declare afterBrewId: CreationOptional<number | null>;
  @Column(DataType.JSON) declare seen: CreationOptional<ChangeSeen | null>;
  @Column(DataType.INTEGER) declare figuresTold: CreationOptional<number>;
  @Column(DataType.INTEGER) declare figuresCame: CreationOptional<number>;
  @Column(DataType.INTEGER) declare hopesTold: CreationOptional<number>;
  @Column(DataType.INTEGER) declare hopesCame: CreationOptional<number>;
  @BelongsTo(() => RecipeVersionModel, 'recipeVersionId') declare version: NonAttribute<RecipeVersionModel>;
}
