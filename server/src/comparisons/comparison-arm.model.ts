import { BelongsTo, Column, DataType, HasMany, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { ComparisonBrewModel } from './comparison-brew.model.js';

/** One side of a comparison. Its place is its letter: 0 is A. */
@Table({ tableName: 'comparison_arms', timestamps: false })
export class ComparisonArmModel extends Model<
  InferAttributes<ComparisonArmModel>,
  InferCreationAttributes<ComparisonArmModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare comparisonId: number;
  @Column(DataType.INTEGER) declare place: number;
  @Column(DataType.INTEGER) declare recipeVersionId: number;
  @BelongsTo(() => RecipeVersionModel, 'recipeVersionId') declare version: NonAttribute<RecipeVersionModel>;
  @HasMany(() => ComparisonBrewModel, 'comparisonArmId') declare brews: NonAttribute<ComparisonBrewModel[]>;
}
